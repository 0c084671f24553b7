import { typeOf } from '../sending/make-file.ts';
import { disposition } from '../sending/send-file.ts';
import { sharedJobs } from './shared-jobs.ts';

/** The file of a job that is done, to be saved. @throws CoreError "job/missing" | "job/not-kept" */
export async function answerMade(id: string): Promise<Response> {
  const { job, bytes } = await (await sharedJobs()).file(id);
  return new Response(bytes, {
    headers: {
      'content-type': typeOf(job.file),
      'content-length': String(job.bytes),
      'content-disposition': disposition(job.name),
      'cache-control': 'no-store',
    },
  });
}
