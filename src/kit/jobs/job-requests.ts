import { isUnderWay, type Job, jobSchema, jobsSchema, type NewJobRequest } from '../../contracts/job.ts';
import { request } from '../request.ts';

/** Milliseconds after which a job that goes on is asked about again. */
export const ASK_AGAIN = 300;

/** The same for the first time, since most files are made in a moment. */
const SOON = 40;

/** Asks for a file. @throws RequestError */
export async function orderJob(order: NewJobRequest): Promise<Job> {
  return jobSchema.parse(await request('POST', '/api/jobs', order));
}

/** The newest jobs first, of all designs or of one. @throws RequestError */
export async function listJobs(designId?: string): Promise<readonly Job[]> {
  const query = designId === undefined ? '' : `?design=${encodeURIComponent(designId)}`;
  return jobsSchema.parse(await request('GET', `/api/jobs${query}`));
}

/** @throws RequestError */
export async function stopJob({ id }: Job): Promise<Job> {
  return jobSchema.parse(await request('POST', `/api/jobs/${id}/stop`));
}

/** The same file once more. @throws RequestError */
export async function repeatJob({ id }: Job): Promise<Job> {
  return jobSchema.parse(await request('POST', `/api/jobs/${id}/again`));
}

/** @throws RequestError */
export async function removeJob({ id }: Job): Promise<void> {
  await request('DELETE', `/api/jobs/${id}`);
}

/**
 * Follows a job to its end.
 * @param told  hears of it whenever it was asked about
 * @throws RequestError
 */
export async function followJob(begun: Job, told: (job: Job) => void): Promise<Job> {
  let job = begun;
  let pause = SOON;
  told(job);
  while (isUnderWay(job)) {
    await new Promise((resolve) => setTimeout(resolve, pause));
    pause = Math.min(ASK_AGAIN, 2 * pause);
    job = jobSchema.parse(await request('GET', `/api/jobs/${job.id}`));
    told(job);
  }
  return job;
}

/** Hands the file of a job that is done to the browser's downloads, which take it piece by piece. */
export function saveJob({ id, name }: Job): void {
  const link = document.createElement('a');
  link.href = `/api/jobs/${id}/file`;
  link.download = name;
  link.click();
}
