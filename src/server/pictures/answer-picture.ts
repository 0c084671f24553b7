import { PICTURE_HEADER } from '../../contracts/picture.ts';
import { CoreError } from '../../core/error.ts';
import { sharedStore } from '../shared-store.ts';
import { sharedPools } from '../work/shared-pools.ts';
import { keepPicture } from './kept-pictures.ts';

/** Pictures that are taken at once, from their first byte to the answer: each may be large. */
const MOST_AT_ONCE = 3;

let atOnce = 0;

type Take = () => Promise<Uint8Array<ArrayBuffer>>;

/**
 * Answers a picture with its blocks.
 * @param take  reads the picture's bytes
 * @throws CoreError "server/busy", as `readPicture`, or of `take`
 */
export function answerPicture(take: Take): Promise<Response> {
  return oneOfFew(async () => {
    const { header, body } = await sharedPools().picture(await take());
    return new Response(body, {
      headers: {
        'content-type': 'application/octet-stream',
        'cache-control': 'no-store',
        [PICTURE_HEADER]: JSON.stringify(header),
      },
    });
  });
}

/**
 * Keeps a picture and answers what it is known by.
 * @param take  reads the picture's bytes
 * @throws CoreError "server/busy", as `keepPicture`, or of `take`
 */
export function answerKeeping(take: Take): Promise<Response> {
  return oneOfFew(async () => {
    const { db } = await sharedStore();
    const kept = await keepPicture(db, await take(), new Date().toISOString());
    return Response.json(kept, { headers: { 'cache-control': 'no-store' } });
  });
}

/** @throws CoreError "server/busy", or of the work */
async function oneOfFew(work: () => Promise<Response>): Promise<Response> {
  if (atOnce >= MOST_AT_ONCE) throw new CoreError('server/busy');
  atOnce += 1;
  try {
    return await work();
  } finally {
    atOnce -= 1;
  }
}
