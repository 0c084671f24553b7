import { toast } from 'sonner';
import { type Job, PRINT_FILES } from '../../contracts/job.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { CoreError } from '../../core/error.ts';
import { forgetRefused, goToRefused, refusedDrafts } from '../../kit/fields/refused-drafts.ts';
import { followJob, orderJob, saveJob } from '../../kit/jobs/job-requests.ts';
import { errorSentence } from '../../wording/error-sentence.ts';
import { saveNow } from '../state/autosave.ts';
import { benchState, dispatch } from '../state/bench-store.ts';
import { fileOf, printQueryOf, queryOf, useSend } from './send-store.ts';
import { askAsItStands, useSending } from './sending-store.ts';

/** Saves what is on the bench, has the server make a file of it, and hands that to the browser's downloads. */
export async function send(): Promise<void> {
  if (!(await maySend())) return;
  useSending.setState({ sending: 'asking' });
  const wish = useSend.getState();
  try {
    const begun = await begin(fileOf(wish.file), (design) => queryOf(wish, design));
    if (begun === undefined) return;
    const job = await followJob(begun, (sending) => useSending.setState({ sending }));
    if (job.state === 'done') saveJob(job);
    else if (job.state === 'failed') toast.error(job.trouble);
  } catch (error) {
    tellError(error);
  } finally {
    useSending.setState({ sending: undefined });
  }
}

/**
 * Whether something may be sent: where a field that is shown is refused, it is gone to; where one of another step is, the
 * person decides.
 */
async function maySend(): Promise<boolean> {
  if (goToRefused(document.body)) {
    toast.error('Nothing was sent: what stands in this field cannot be read.');
    return false;
  }
  const drafts = refusedDrafts();
  if (drafts.length === 0) return true;
  dispatch({ kind: 'step', step: 'Send' });
  const asItStands = await askAsItStands(drafts);
  if (asItStands) forgetRefused();
  return asItStands;
}

/** Saves what is on the bench, and orders it from the print house. @returns whether it is ordered */
export async function order(kind: keyof typeof PRINT_FILES): Promise<boolean> {
  if (!(await maySend())) return false;
  try {
    return (
      (await begin(PRINT_FILES[kind], (design) => printQueryOf(useSend.getState(), design))) !== undefined
    );
  } catch (error) {
    tellError(error);
    return false;
  }
}

/** Begins a file of the design as it stands on the bench; undefined, and told, where that cannot be saved. */
async function begin(file: string, queryFor: (design: Design) => URLSearchParams): Promise<Job | undefined> {
  await saveNow();
  const { saved, stored, id, version } = benchState();
  if (saved.kind === 'failed' || saved.kind === 'stale') {
    toast.error('The last change is not saved yet, so it would be missing from the file. Save it first.');
    return undefined;
  }
  return orderJob({ designId: id, version, file, query: String(queryFor(stored)) });
}

function tellError(error: unknown): void {
  toast.error(error instanceof CoreError ? errorSentence(error) : (error as Error).message);
}
