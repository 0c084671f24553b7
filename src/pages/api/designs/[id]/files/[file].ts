import { findDesign } from '../../../../../server/db/design-table.ts';
import { endpoint, otherMethods } from '../../../../../server/endpoint.ts';
import { answerFile } from '../../../../../server/sending/answer-file.ts';

export const GET = endpoint({
  run: async ({ db, params, query }) =>
    answerFile(db, await findDesign(db, params['id']!), params['file']!, query),
});
export const ALL = otherMethods;
