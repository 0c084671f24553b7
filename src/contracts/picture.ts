import { z } from 'zod';

/** Largest file that is read, in bytes. */
export const MAX_PICTURE_BYTES = 200_000_000;

/** What was done to a picture, worth telling. */
export const PICTURE_NOTES = ['turned', 'first-of-many', 'laid-on-white', 'shrunk'] as const;

/** Header that describes the body: JSON of `pictureHeader`. */
export const PICTURE_HEADER = 'x-vetro-picture';

/** The body holds `columns` × `rows` blocks, three 16-bit numbers each, little-endian: mean linear light. */
export const pictureHeader = z.object({
  width: z.int().min(1),
  height: z.int().min(1),
  block: z.int().min(1),
  columns: z.int().min(1),
  rows: z.int().min(1),
  notes: z.array(z.enum(PICTURE_NOTES)),
});
export type PictureHeader = z.infer<typeof pictureHeader>;

/** Header that gives the size of pixels: JSON of `pixelsHeader`. */
export const PIXELS_HEADER = 'x-vetro-pixels';

/** The body holds `width` × `height` pixels, four bytes each: red, green, blue, alpha, not multiplied. */
export const pixelsHeader = z.object({ width: z.int().min(1), height: z.int().min(1) });

/** A picture that is kept, and what was done to it. */
export const keptPicture = z.object({
  hash: z.string(),
  width: z.int().min(1),
  height: z.int().min(1),
  notes: z.array(z.enum(PICTURE_NOTES)),
});
export type KeptPicture = z.infer<typeof keptPicture>;
