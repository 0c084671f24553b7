import { nameRequest } from '../../../../../contracts/revision.ts';
import { listRevisions } from '../../../../../server/db/revision-table.ts';
import { endpoint, otherMethods } from '../../../../../server/endpoint.ts';
import { keepVersion } from '../../../../../server/shelf.ts';

export const GET = endpoint({ run: ({ db, params }) => listRevisions(db, params['id']!) });
export const POST = endpoint({
  body: nameRequest,
  run: ({ db, params, body, now }) => keepVersion(db, { id: params['id']!, name: body.name, now }),
});
export const ALL = otherMethods;
