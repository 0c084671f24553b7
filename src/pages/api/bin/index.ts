import { emptyBin, listBin } from '../../../server/db/design-table.ts';
import { endpoint, otherMethods } from '../../../server/endpoint.ts';

export const GET = endpoint({ run: ({ db }) => listBin(db) });
export const DELETE = endpoint({ run: ({ db }) => emptyBin(db) });
export const ALL = otherMethods;
