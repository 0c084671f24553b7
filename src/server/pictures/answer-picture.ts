import { PICTURE_HEADER } from '../../contracts/picture.ts';
import { CoreError } from '../../core/error.ts';
import { sharedPools } from '../work/shared-pools.ts';

/** Pictures that are taken at once, from their first byte to the answer: each may be large. */
const MOST_AT_ONCE = 3;

let atOnce = 0;

/**
 * Answers a picture with its blocks.
 * @param take  reads the picture's bytes
 * @throws CoreError "server/busy", as `readPicture`, or of `take`
 */
export async function answerPicture(take: () => Promise<Uint8Array<ArrayBuffer>>): Promise<Response> {
  if (atOnce >= MOST_AT_ONCE) throw new CoreError('server/busy');
  atOnce += 1;
  try {
    const { header, body } = await sharedPools().picture(await take());
    return new Response(body, {
      headers: {
        'content-type': 'application/octet-stream',
        'cache-control': 'no-store',
        [PICTURE_HEADER]: JSON.stringify(header),
      },
    });
  } finally {
    atOnce -= 1;
  }
}
