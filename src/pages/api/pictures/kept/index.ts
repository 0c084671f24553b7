import { MAX_PICTURE_BYTES } from '../../../../contracts/picture.ts';
import { binaryEndpoint, otherMethods } from '../../../../server/endpoint.ts';
import { answerKeeping } from '../../../../server/pictures/answer-picture.ts';

export const POST = binaryEndpoint({ most: MAX_PICTURE_BYTES, run: answerKeeping });
export const ALL = otherMethods;
