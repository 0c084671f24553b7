import { endpoint, otherMethods } from '../../../../server/endpoint.ts';
import { binDesign } from '../../../../server/db/design-table.ts';

export const POST = endpoint({ run: ({ db, params }) => binDesign(db, params['id']!, null) });
export const ALL = otherMethods;
