import type { PictureHeader } from '../../contracts/picture.ts';
import { readPicture } from './read-picture.ts';

/** A picture's blocks as they go over the wire; contracts/picture.ts says how they lie. */
export interface PackedPicture {
  readonly header: PictureHeader;
  readonly body: ArrayBuffer;
}

/** @throws CoreError as `readPicture` */
export async function packPicture(bytes: Uint8Array): Promise<PackedPicture> {
  const { grid, notes } = await readPicture(bytes);
  const { light, ...about } = grid;
  const body = new DataView(new ArrayBuffer(light.length * 2));
  light.forEach((value, at) => {
    body.setUint16(at * 2, Math.round(value), true);
  });
  return { header: { ...about, notes }, body: body.buffer };
}
