import { moveRequest } from '../../../../contracts/design.ts';
import { endpoint, otherMethods } from '../../../../server/endpoint.ts';
import { moveDesign } from '../../../../server/shelf.ts';

export const POST = endpoint({
  body: moveRequest,
  run: ({ db, params, body }) => moveDesign(db, params['id']!, body.range),
});
export const ALL = otherMethods;
