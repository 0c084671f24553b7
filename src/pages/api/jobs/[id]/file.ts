import { endpoint, otherMethods } from '../../../../server/endpoint.ts';
import { answerMade } from '../../../../server/jobs/answer-made.ts';

export const GET = endpoint({ run: ({ params }) => answerMade(params['id']!) });
export const ALL = otherMethods;
