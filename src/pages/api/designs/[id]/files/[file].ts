import { findDesign } from '../../../../../server/db/design-table.ts';
import { endpoint, otherMethods } from '../../../../../server/endpoint.ts';
import { sendFile } from '../../../../../server/sending/send-file.ts';

export const GET = endpoint({
  run: async ({ db, params, query }) => {
    const { document } = await findDesign(db, params['id']!);
    return sendFile(document, params['file']!, query);
  },
});
export const ALL = otherMethods;
