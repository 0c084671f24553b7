import { findRevision } from '../../../../../../server/db/revision-table.ts';
import { endpoint, otherMethods } from '../../../../../../server/endpoint.ts';
import { answerSwatch } from '../../../../../../server/sending/answer-file.ts';

export const GET = endpoint({
  run: async ({ db, params, query }) =>
    answerSwatch(
      db,
      (await findRevision(db, { designId: params['id']!, id: params['revision']! })).document,
      query,
    ),
});
export const ALL = otherMethods;
