import { createRequest } from '../../../contracts/design.ts';
import { designEndpoint, otherMethods } from '../../../server/endpoint.ts';
import { addDesign } from '../../../server/shelf.ts';

export const POST = designEndpoint({
  body: createRequest,
  run: ({ store, body, now }) => addDesign(store, { design: body.document, rangeId: body.rangeId, now }),
});
export const ALL = otherMethods;
