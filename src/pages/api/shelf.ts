import { endpoint, otherMethods } from '../../server/endpoint.ts';
import { readShelf } from '../../server/shelf.ts';

export const GET = endpoint({ run: ({ db }) => readShelf(db) });
export const ALL = otherMethods;
