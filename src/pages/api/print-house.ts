import { endpoint, otherMethods } from '../../server/endpoint.ts';
import { findHouse } from '../../server/print-house/house-address.ts';

export const GET = endpoint({ run: findHouse });
export const ALL = otherMethods;
