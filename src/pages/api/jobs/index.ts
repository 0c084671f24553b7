import { newJobSchema } from '../../../contracts/job.ts';
import { endpoint, otherMethods } from '../../../server/endpoint.ts';
import { orderJob } from '../../../server/jobs/order-job.ts';
import { sharedJobs } from '../../../server/jobs/shared-jobs.ts';

export const GET = endpoint({
  run: async ({ query }) => (await sharedJobs()).list(query.get('design') ?? undefined),
});
export const POST = endpoint({ body: newJobSchema, run: ({ db, body }) => orderJob(db, body) });
export const ALL = otherMethods;
