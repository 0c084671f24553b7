import { endpoint, otherMethods } from '../../../../server/endpoint.ts';
import { sharedJobs } from '../../../../server/jobs/shared-jobs.ts';

export const POST = endpoint({ run: async ({ params }) => (await sharedJobs()).again(params['id']!) });
export const ALL = otherMethods;
