import { nameRequest } from '../../../../../../contracts/revision.ts';
import { findRevision, nameRevision } from '../../../../../../server/db/revision-table.ts';
import { endpoint, otherMethods } from '../../../../../../server/endpoint.ts';

export const GET = endpoint({
  run: ({ db, params }) => findRevision(db, { designId: params['id']!, id: params['revision']! }),
});
export const PUT = endpoint({
  body: nameRequest,
  run: ({ db, params, body }) =>
    nameRevision(db, { designId: params['id']!, id: params['revision']!, name: body.name }),
});
export const ALL = otherMethods;
