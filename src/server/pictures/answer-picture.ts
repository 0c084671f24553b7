import { PICTURE_HEADER } from '../../contracts/picture.ts';
import { sharedStore } from '../shared-store.ts';
import { sharedPools } from '../work/shared-pools.ts';
import { keepPicture } from './kept-pictures.ts';

/** Reads the picture's bytes. */
type Take = () => Promise<Uint8Array<ArrayBuffer>>;

/**
 * Answers a picture with its blocks.
 * @throws CoreError "server/busy", as `readPicture`, or of `take`
 */
export async function answerPicture(take: Take): Promise<Response> {
  const { header, body } = await sharedPools().picture(await take());
  return new Response(body, {
    headers: {
      'content-type': 'application/octet-stream',
      'cache-control': 'no-store',
      [PICTURE_HEADER]: JSON.stringify(header),
    },
  });
}

/**
 * Keeps a picture and answers what it is known by.
 * @throws CoreError "server/busy", as `keepPicture`, or of `take`
 */
export async function answerKeeping(take: Take): Promise<Response> {
  const { db } = await sharedStore();
  const kept = await keepPicture(db, await take(), new Date().toISOString());
  return Response.json(kept, { headers: { 'cache-control': 'no-store' } });
}
