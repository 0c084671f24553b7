import { endpoint, otherMethods } from '../../../../../server/endpoint.ts';
import { answerKept } from '../../../../../server/pictures/kept-pictures.ts';

export const GET = endpoint({ run: ({ db, params }) => answerKept(db, params['hash']!) });
export const ALL = otherMethods;
