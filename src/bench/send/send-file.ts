import { toast } from 'sonner';
import { CoreError } from '../../core/error.ts';
import { errorSentence } from '../../wording/error-sentence.ts';
import { saveNow } from '../state/autosave.ts';
import { benchState } from '../state/bench-store.ts';
import { addressOf, savedName, useSend } from './send-store.ts';
import { takeFile } from './take-file.ts';

/** Saves what is on the bench, then takes the file that the server makes of it. */
export async function send(told: (bytes: number | undefined) => void): Promise<void> {
  told(0);
  try {
    await saveNow();
    const { saved, stored, ...state } = benchState();
    if (saved.kind === 'failed' || saved.kind === 'stale') {
      toast.error('The last change is not saved yet, so it would be missing from the file. Save it first.');
      return;
    }
    const wish = useSend.getState();
    await takeFile(addressOf(state, wish, stored), savedName(wish, stored), told);
  } catch (error) {
    toast.error(error instanceof CoreError ? errorSentence(error) : (error as Error).message);
  } finally {
    told(undefined);
  }
}
