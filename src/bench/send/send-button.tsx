import { Download } from 'lucide-react';
import { toast } from 'sonner';
import { JobProgress } from '../../kit/jobs/job-progress.tsx';
import { stopJob } from '../../kit/jobs/job-requests.ts';
import { send } from './send-file.ts';
import { FILE_NAMES } from './send-names.ts';
import type { SendFile } from './send-store.ts';
import { useSending } from './sending-store.ts';

/** Has the file made; while that goes on, how far it is, and a way to stop it. */
export function SendButton({ file, disabled }: { readonly file: SendFile; readonly disabled: boolean }) {
  const sending = useSending(({ sending }) => sending);
  if (sending === undefined || sending === 'asking') {
    return (
      <button
        type="button"
        className="button button-go"
        disabled={disabled || sending !== undefined}
        onClick={() => void send()}
      >
        <Download size={16} aria-hidden="true" />
        Send the {FILE_NAMES[file]}
      </button>
    );
  }
  return (
    <div className="flex items-start gap-3">
      <div className="min-w-0 flex-1">
        <JobProgress job={sending} />
      </div>
      <button
        type="button"
        className="button"
        onClick={() => stopJob(sending).catch((error: Error) => toast.error(error.message))}
      >
        Stop
      </button>
    </div>
  );
}
