import { endpoint, otherMethods } from '../../../../server/endpoint.ts';
import { answerCollection } from '../../../../server/sending/answer-collection.ts';

export const GET = endpoint({
  run: ({ db, params, query, now }) => answerCollection(db, params['id']!, { query, now }),
});
export const ALL = otherMethods;
