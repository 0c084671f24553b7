import { PICTURE_HEADER, type PictureHeader, pictureHeader } from '../contracts/picture.ts';
import type { BlockGrid } from '../core/picture/block-grid.ts';
import { upload } from '../kit/uploads/upload.ts';

/** A picture that was read, and what it is called. */
export interface OpenPicture {
  readonly name: string;
  readonly grid: BlockGrid;
  readonly notes: PictureHeader['notes'];
}

/** Made-up pictures that ship with Vetro. */
export const SHIPPED = [
  { name: 'Lake at dusk', file: '/pictures/lake-at-dusk.jpg' },
  { name: 'Heather bank', file: '/pictures/heather-bank.jpg' },
  { name: 'Boiler and brass', file: '/pictures/boiler-and-brass.jpg' },
] as const;

/**
 * Has the server read a picture.
 * @param onSent  hears the part that is sent, 0 … 1
 * @throws RequestError, or an AbortError
 */
export async function openPicture(
  name: string,
  bytes: Blob,
  { onSent, signal }: { readonly onSent: (part: number) => void; readonly signal: AbortSignal },
): Promise<OpenPicture> {
  const answer = await upload({ path: '/api/pictures', bytes, onSent, signal });
  const { notes, ...about } = pictureHeader.parse(JSON.parse(answer.header(PICTURE_HEADER) ?? 'null'));
  return { name, notes, grid: { ...about, light: lightOf(answer.bytes) } };
}

/** Sixteen-bit numbers, little-endian on the wire. */
function lightOf(bytes: ArrayBuffer): Uint16Array {
  const view = new DataView(bytes);
  return Uint16Array.from({ length: bytes.byteLength / 2 }, (_, at) => view.getUint16(at * 2, true));
}
