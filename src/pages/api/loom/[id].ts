import { loomRequest } from '../../../contracts/loom.ts';
import { endpoint, otherMethods } from '../../../server/endpoint.ts';
import { loomPort } from '../../../server/loom/loom-port.ts';
import { weavePick } from '../../../server/loom/weave-pick.ts';

export const POST = endpoint({
  body: loomRequest,
  run: ({ db, params, body }) => weavePick(db, { id: params['id']!, port: loomPort(), ...body }),
});
export const ALL = otherMethods;
