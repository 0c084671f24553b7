import type { Job } from '../../contracts/job.ts';
import { jobWords, shareMade } from '../../wording/job-words.ts';

/** How far a job is: a bar where that is known, and words. */
export function JobProgress({ job }: { job: Job }) {
  const share = shareMade(job);
  return (
    <div className="flex min-w-0 flex-col gap-1">
      <div
        role="progressbar"
        aria-label={`Making ${job.name}`}
        aria-valuemin={0}
        aria-valuemax={100}
        {...(share !== undefined && { 'aria-valuenow': Math.floor(share * 100) })}
        className="h-1.5 overflow-hidden rounded-full bg-linen"
      >
        <div
          className={`h-full rounded-full bg-woad ${share === undefined ? 'w-1/4 animate-pulse' : ''}`}
          style={share === undefined ? {} : { width: `${share * 100}%` }}
        />
      </div>
      <span className="numbers text-[13px]">{jobWords(job, Date.now())}</span>
    </div>
  );
}
