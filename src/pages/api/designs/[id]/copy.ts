import { endpoint, otherMethods } from '../../../../server/endpoint.ts';
import { copyDesign } from '../../../../server/shelf.ts';

export const POST = endpoint({ run: ({ db, params, now }) => copyDesign(db, params['id']!, now) });
export const ALL = otherMethods;
