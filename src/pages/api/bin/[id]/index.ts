import { emptyBin } from '../../../../server/db/design-table.ts';
import { endpoint, otherMethods } from '../../../../server/endpoint.ts';

export const DELETE = endpoint({ run: ({ db, params }) => emptyBin(db, params['id']!) });
export const ALL = otherMethods;
