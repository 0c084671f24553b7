import { saveRequest } from '../../../../contracts/design.ts';
import { binDesign } from '../../../../server/db/design-table.ts';
import { designEndpoint, endpoint, otherMethods } from '../../../../server/endpoint.ts';
import { openStored, saveDesign } from '../../../../server/shelf.ts';

export const GET = endpoint({ run: ({ db, params }) => openStored(db, params['id']!) });
export const PUT = designEndpoint({
  body: saveRequest,
  run: ({ store, params, body, now }) =>
    saveDesign(store, { id: params['id']!, version: body.version, design: body.document, now }),
});
export const DELETE = endpoint({ run: ({ db, params, now }) => binDesign(db, params['id']!, now) });
export const ALL = otherMethods;
