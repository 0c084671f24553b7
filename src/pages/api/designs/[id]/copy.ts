import { endpoint, otherMethods } from '../../../../server/endpoint.ts';
import { copyDesign } from '../../../../server/shelf.ts';

export const POST = endpoint({ run: ({ store, params, now }) => copyDesign(store, params['id']!, now) });
export const ALL = otherMethods;
