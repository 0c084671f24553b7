import { z } from 'zod';
import { cleanText } from '../formats/clean-text.ts';
import { PICTURE_FITS, PICTURE_TYPES, type Pictures, type ShownPicture } from '../shape/picture.ts';

/** Longest side of a picture that is kept, in pixels. */
export const MAX_PICTURE_SIDE = 4096;

/** Most pictures that a document carries, and the most characters of each. */
export const MAX_PICTURES = 40;
const MAX_BASE64 = 16_000_000;

/** SHA-256 of a picture's file, in hexadecimal. */
const hash = z.string().regex(/^[0-9a-f]{64}$/);

/** A picture by what it is known by, and how it lies in what it is painted in. */
export const pictureSchema = z.strictObject({
  hash,
  /** What it was called. */
  name: z.string().overwrite(cleanText).max(120),
  /** In pixels. */
  width: z.int().min(1).max(MAX_PICTURE_SIDE),
  height: z.int().min(1).max(MAX_PICTURE_SIDE),
  fit: z.enum(PICTURE_FITS),
});

export type PaintPicture = z.infer<typeof pictureSchema>;

/** The files of pictures, by their hashes, in a document that carries them. */
export const carriedSchema = z
  .record(hash, z.strictObject({ type: z.enum(PICTURE_TYPES), base64: z.base64().min(1).max(MAX_BASE64) }))
  .refine((carried) => Object.keys(carried).length <= MAX_PICTURES);

export type CarriedPictures = z.infer<typeof carriedSchema>;

/** A picture of a document as it is shown, as far as it is known. */
export function shownPicture(
  { hash, name }: PaintPicture,
  place: ShownPicture['place'],
  pictures: Pictures,
): ShownPicture {
  return { name, picture: pictures.get(hash), place };
}
