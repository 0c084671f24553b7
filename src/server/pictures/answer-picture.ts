import { PICTURE_HEADER, type PictureHeader } from '../../contracts/picture.ts';
import { readPicture } from './read-picture.ts';

/** A picture's blocks as they go over the wire; contracts/picture.ts says how they lie. */
export async function answerPicture(bytes: Uint8Array): Promise<Response> {
  const { grid, notes } = await readPicture(bytes);
  const { light, ...about } = grid;
  const header: PictureHeader = { ...about, notes };
  const body = new DataView(new ArrayBuffer(light.length * 2));
  light.forEach((value, at) => {
    body.setUint16(at * 2, Math.round(value), true);
  });
  return new Response(body.buffer, {
    headers: {
      'content-type': 'application/octet-stream',
      'cache-control': 'no-store',
      [PICTURE_HEADER]: JSON.stringify(header),
    },
  });
}
