import { toast } from 'sonner';
import { CoreError } from '../../core/error.ts';
import { followJob, orderJob, saveJob } from '../../kit/jobs/job-requests.ts';
import { errorSentence } from '../../wording/error-sentence.ts';
import { saveNow } from '../state/autosave.ts';
import { benchState } from '../state/bench-store.ts';
import { fileOf, queryOf, useSend } from './send-store.ts';
import { useSending } from './sending-store.ts';

/** Saves what is on the bench, has the server make a file of it, and hands that to the browser's downloads. */
export async function send(): Promise<void> {
  useSending.setState({ sending: 'asking' });
  try {
    await saveNow();
    const { saved, stored, id, version } = benchState();
    if (saved.kind === 'failed' || saved.kind === 'stale') {
      toast.error('The last change is not saved yet, so it would be missing from the file. Save it first.');
      return;
    }
    const wish = useSend.getState();
    const query = String(queryOf(wish, stored));
    const begun = await orderJob({ designId: id, version, file: fileOf(wish.file), query });
    const job = await followJob(begun, (sending) => useSending.setState({ sending }));
    if (job.state === 'done') saveJob(job);
    else if (job.state === 'failed') toast.error(job.trouble);
  } catch (error) {
    toast.error(error instanceof CoreError ? errorSentence(error) : (error as Error).message);
  } finally {
    useSending.setState({ sending: undefined });
  }
}
