import { Download, RotateCw, Square, X } from 'lucide-react';
import { isPrinted, isUnderWay, type Job } from '../contracts/job.ts';
import { IconButton } from '../kit/icon-button.tsx';
import { JobProgress } from '../kit/jobs/job-progress.tsx';
import { saveJob } from '../kit/jobs/job-requests.ts';
import { askedWords, jobWords } from '../wording/job-words.ts';
import { clockText } from '../wording/measures.ts';

interface SentRowProps {
  readonly job: Job;
  readonly onStop: (job: Job) => void;
  readonly onAgain: (job: Job) => void;
  readonly onRemove: (job: Job) => void;
}

const COLOURS: Readonly<Record<Job['state'], string>> = {
  waiting: 'text-ash',
  working: 'text-ash',
  done: 'text-verdigris',
  failed: 'text-madder',
  stopped: 'text-weld',
};

/** One file: what it is of, what was asked for, how it stands, and what can be done with it. */
export function SentRow({ job, onStop, onAgain, onRemove }: SentRowProps) {
  const underWay = isUnderWay(job);
  const printed = isPrinted(job);
  return (
    <li className="grid grid-cols-[52px_64px_minmax(0,1.9fr)_minmax(0,1fr)_112px] items-center gap-4 border-rule border-t py-2.5 max-[900px]:grid-cols-[52px_minmax(0,1fr)_auto]">
      <time dateTime={job.madeAt} className="numbers text-[13px] text-ash">
        {clockText(job.madeAt, new Date(job.madeAt))}
      </time>
      <img
        src={`/api/designs/${job.designId}/files/swatch.png?across=192&down=132`}
        alt=""
        className="pinked block h-11 w-16 max-[900px]:hidden"
        onError={({ currentTarget }) => {
          // A design that was deleted has no cloth any more.
          currentTarget.style.visibility = 'hidden';
        }}
      />
      <div className="min-w-0">
        <div className="truncate font-semibold">{job.name}</div>
        <div className="text-[13px] text-ash">
          {askedWords(job)} ·{' '}
          <a href={`/bench/${job.designId}`} className="text-ash hover:text-ink">
            Open {job.designName}
          </a>
        </div>
      </div>
      <div className="min-w-0 max-[900px]:col-start-2">
        {underWay ? (
          <JobProgress job={job} />
        ) : (
          <span className={`text-[13px] ${COLOURS[job.state]}`}>{jobWords(job, Date.now())}</span>
        )}
      </div>
      <div className="flex justify-end gap-0.5 max-[900px]:col-start-3 max-[900px]:row-start-1">
        {underWay ? (
          <IconButton
            name={`${printed ? 'Call off' : 'Stop'} ${job.name}`}
            icon={Square}
            onClick={() => onStop(job)}
          />
        ) : (
          <>
            {job.kept && (
              <IconButton name={`Save ${job.name}`} icon={Download} onClick={() => saveJob(job)} />
            )}
            <IconButton
              name={`${printed ? 'Order' : 'Send'} ${job.name} again`}
              icon={RotateCw}
              onClick={() => onAgain(job)}
            />
            <IconButton name={`Remove ${job.name} from the list`} icon={X} onClick={() => onRemove(job)} />
          </>
        )}
      </div>
    </li>
  );
}
