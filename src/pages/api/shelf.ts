import { shelfWishSchema } from '../../contracts/shelf-wish.ts';
import { endpoint, otherMethods, parseQuery } from '../../server/endpoint.ts';
import { readShelf } from '../../server/shelf.ts';

export const GET = endpoint({
  run: ({ db, query }) => readShelf(db, parseQuery(shelfWishSchema, query)),
});
export const ALL = otherMethods;
