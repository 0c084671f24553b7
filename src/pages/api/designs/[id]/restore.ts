import { binDesign } from '../../../../server/db/design-table.ts';
import { endpoint, otherMethods } from '../../../../server/endpoint.ts';

export const POST = endpoint({ run: ({ db, params }) => binDesign(db, params['id']!, null) });
export const ALL = otherMethods;
