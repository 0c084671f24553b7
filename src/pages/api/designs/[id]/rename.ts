import { renameRequest } from '../../../../contracts/design.ts';
import { endpoint, otherMethods } from '../../../../server/endpoint.ts';
import { renameDesign } from '../../../../server/shelf.ts';

export const POST = endpoint({
  body: renameRequest,
  run: ({ store, params, body, now }) => renameDesign(store, params['id']!, body.name, now),
});
export const ALL = otherMethods;
