import { createRequest } from '../../../contracts/design.ts';
import { readDesign } from '../../../core/design/read-design.ts';
import { endpoint, otherMethods } from '../../../server/endpoint.ts';
import { addDesign } from '../../../server/shelf.ts';

export const POST = endpoint({
  body: createRequest,
  run: ({ store, body, now }) =>
    addDesign(store, { design: readDesign(body.document), rangeId: body.rangeId, now }),
});
export const ALL = otherMethods;
