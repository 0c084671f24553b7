import { toast } from 'sonner';
import { savedAnswer } from '../../contracts/design.ts';
import { request } from '../../kit/request.ts';
import { saveNow } from '../state/autosave.ts';
import { benchState } from '../state/bench-store.ts';

/** Makes a copy beside the design and opens it. */
export async function duplicate(): Promise<void> {
  try {
    await saveNow();
    const answer = savedAnswer.parse(await request('POST', `/api/designs/${benchState().id}/copy`));
    window.location.assign(`/bench/${answer.id}`);
  } catch (error) {
    toast.error((error as Error).message);
  }
}
