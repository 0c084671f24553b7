import { sharedBackups } from '../../../../../../server/backups/shared-backups.ts';
import { findHeld } from '../../../../../../server/db/design-table.ts';
import { endpoint, otherMethods } from '../../../../../../server/endpoint.ts';
import { answerSwatch } from '../../../../../../server/sending/answer-file.ts';

export const GET = endpoint({
  run: async ({ params, query }) => {
    const there = (await sharedBackups()).opened.database(params['id']!);
    return answerSwatch(there, await findHeld(there, params['design']!), query);
  },
});
export const ALL = otherMethods;
