import { MAX_PICTURE_BYTES } from '../../../contracts/picture.ts';
import { binaryEndpoint, otherMethods } from '../../../server/endpoint.ts';
import { answerPicture } from '../../../server/pictures/answer-picture.ts';

export const POST = binaryEndpoint({ most: MAX_PICTURE_BYTES, run: answerPicture });
export const ALL = otherMethods;
