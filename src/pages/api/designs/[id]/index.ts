import { saveRequest } from '../../../../contracts/design.ts';
import { readDesign } from '../../../../core/design/read-design.ts';
import { binDesign, findDesign, updateDesign } from '../../../../server/db/design-table.ts';
import { rangeOf } from '../../../../server/db/range-table.ts';
import { endpoint, otherMethods } from '../../../../server/endpoint.ts';

export const GET = endpoint({
  run: async ({ db, params }) => ({
    ...(await findDesign(db, params['id']!)),
    range: await rangeOf(db, params['id']!),
  }),
});
export const PUT = endpoint({
  body: saveRequest,
  run: ({ db, params, body, now }) =>
    updateDesign(db, { id: params['id']!, version: body.version, design: readDesign(body.document), now }),
});
export const DELETE = endpoint({ run: ({ db, params, now }) => binDesign(db, params['id']!, now) });
export const ALL = otherMethods;
