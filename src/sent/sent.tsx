import '../workers/no-eval.ts';

import { QueryClient, QueryClientProvider, useQuery, useQueryClient } from '@tanstack/react-query';
import { toast } from 'sonner';
import { DAYS_KEPT, isUnderWay, type Job } from '../contracts/job.ts';
import { BrokenPage } from '../kit/broken-part.tsx';
import { ASK_AGAIN, listJobs, removeJob, repeatJob, stopJob } from '../kit/jobs/job-requests.ts';
import { PageHeader } from '../kit/page-header.tsx';
import { Safely } from '../kit/safely.tsx';
import { Toasts } from '../kit/toasts.tsx';
import { byDays } from './days.ts';
import { SentRow } from './sent-row.tsx';

const client = new QueryClient();
const JOBS = ['jobs'];

/** The screen of all files that were sent: how they stand, to save or send again. */
export function Sent({ initial }: { initial: readonly Job[] }) {
  return (
    <QueryClientProvider client={client}>
      <Safely broken={(again) => <BrokenPage again={again} />}>
        <OpenSent initial={initial} />
      </Safely>
      <Toasts />
    </QueryClientProvider>
  );
}

function OpenSent({ initial }: { initial: readonly Job[] }) {
  const queries = useQueryClient();
  const { data: jobs } = useQuery({
    queryKey: JOBS,
    queryFn: () => listJobs(),
    initialData: initial,
    refetchInterval: ({ state }) => (state.data?.some(isUnderWay) === true ? ASK_AGAIN : false),
  });
  const act = (work: Promise<unknown>) =>
    void work
      .catch((error: Error) => toast.error(error.message))
      .finally(() => queries.invalidateQueries({ queryKey: JOBS }));
  return (
    <>
      <PageHeader here="Sent" />
      <main className="mx-auto max-w-[1040px] px-6 py-8">
        <h1 className="text-[27px]">Sent</h1>
        <p className="mt-1 mb-5 text-ash">
          What was made and printed, of the designs as they stood then. Files are kept for {DAYS_KEPT} days.
        </p>
        {jobs.length === 0 && (
          <p className="rounded-card bg-paper p-8">
            Nothing was sent yet. Open a design and go to <b>Send</b>: what is made there is listed here.
          </p>
        )}
        {byDays(jobs, new Date()).map(({ name, jobs: ofDay }) => (
          <section key={name} className="mb-6 rounded-card bg-paper px-6 pt-4 pb-2">
            <h2 className="mb-2 text-[17px]">{name}</h2>
            <ul className="m-0 list-none p-0">
              {ofDay.map((job) => (
                <SentRow
                  key={job.id}
                  job={job}
                  onStop={(each) => act(stopJob(each))}
                  onAgain={(each) => act(repeatJob(each))}
                  onRemove={(each) => act(removeJob(each))}
                />
              ))}
            </ul>
          </section>
        ))}
      </main>
    </>
  );
}
