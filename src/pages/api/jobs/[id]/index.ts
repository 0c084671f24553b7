import { endpoint, otherMethods } from '../../../../server/endpoint.ts';
import { sharedJobs } from '../../../../server/jobs/shared-jobs.ts';

export const GET = endpoint({ run: async ({ params }) => (await sharedJobs()).find(params['id']!) });
export const DELETE = endpoint({ run: async ({ params }) => (await sharedJobs()).remove(params['id']!) });
export const ALL = otherMethods;
