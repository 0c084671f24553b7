import { favouriteRequest } from '../../../../contracts/shelf.ts';
import { markFavourite } from '../../../../server/db/design-table.ts';
import { endpoint, otherMethods } from '../../../../server/endpoint.ts';

export const POST = endpoint({
  body: favouriteRequest,
  run: ({ db, params, body }) => markFavourite(db, params['id']!, body.favourite),
});
export const ALL = otherMethods;
