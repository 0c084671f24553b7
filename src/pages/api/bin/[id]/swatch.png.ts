import { findBinned } from '../../../../server/db/design-table.ts';
import { endpoint, otherMethods } from '../../../../server/endpoint.ts';
import { answerSwatch } from '../../../../server/sending/answer-file.ts';

export const GET = endpoint({
  run: async ({ db, params, query }) => answerSwatch(db, await findBinned(db, params['id']!), query),
});
export const ALL = otherMethods;
