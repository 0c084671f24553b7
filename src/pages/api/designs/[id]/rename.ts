import { renameRequest } from '../../../../contracts/design.ts';
import { endpoint, otherMethods } from '../../../../server/endpoint.ts';
import { renameDesign } from '../../../../server/shelf.ts';

export const POST = endpoint({
  body: renameRequest,
  run: ({ db, params, body, now }) => renameDesign(db, params['id']!, body.name, now),
});
export const ALL = otherMethods;
