import type { Design } from '../core/design/design-schema.ts';
import { NO_PICTURES, type Pictures } from '../core/shape/picture.ts';

/** The pictures that a design carries, ready to be painted. @throws CoreError as `decodedPictures` */
export async function picturesOf(design: Design): Promise<Pictures> {
  if (Object.keys(design.pictures).length === 0) return NO_PICTURES;
  // What reads pictures takes long to load.
  const { decodedPictures } = await import('../server/pictures/decoded-pictures.ts');
  return decodedPictures(design);
}
