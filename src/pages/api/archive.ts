import { binaryEndpoint, endpoint, otherMethods } from '../../server/endpoint.ts';
import { answerArchive, answerBrought } from '../../server/shelves/answer-archive.ts';
import { MOST_ARCHIVE } from '../../server/shelves/archive-format.ts';

export const GET = endpoint({ run: ({ query, now }) => answerArchive(query, now) });
export const POST = binaryEndpoint({
  most: MOST_ARCHIVE,
  run: (take) => answerBrought(take, new Date().toISOString()),
});
export const ALL = otherMethods;
