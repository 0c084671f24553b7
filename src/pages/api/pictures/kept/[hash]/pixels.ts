import { endpoint, otherMethods } from '../../../../../server/endpoint.ts';
import { answerPixels } from '../../../../../server/pictures/kept-pictures.ts';

export const GET = endpoint({ run: ({ db, params }) => answerPixels(db, params['hash']!) });
export const ALL = otherMethods;
