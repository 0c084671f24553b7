import { createHash } from 'node:crypto';
import sharp from 'sharp';
import { picturesUsed } from '../../core/design/compile-design.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { MAX_PICTURE_SIDE } from '../../core/design/picture-schema.ts';
import { CoreError } from '../../core/error.ts';
import { NO_PICTURES, type Picture, type PictureFile, type Pictures } from '../../core/shape/picture.ts';

/** Pixels of a picture's file, as bytes. @throws CoreError "picture/broken" {reason} */
export async function decodePicture(file: Uint8Array): Promise<Omit<Picture, 'file'>> {
  const { data, info } = await sharp(file, { failOn: 'truncated', limitInputPixels: MAX_PICTURE_SIDE ** 2 })
    .toColourspace('srgb')
    .ensureAlpha()
    .raw({ depth: 'uchar' })
    .toBuffer({ resolveWithObject: true })
    .catch((error: Error) => {
      throw new CoreError('picture/broken', { reason: error.message.split('\n')[0]!.slice(0, 120) });
    });
  return { width: info.width, height: info.height, rgba: new Uint8Array(data) };
}

/**
 * The pictures that a design shows and carries, ready to be painted.
 * @throws CoreError "picture/broken" {reason}, "picture/carried" {hash} for a file that is another than its name says
 */
export async function decodedPictures(design: Design): Promise<Pictures> {
  const carried = picturesUsed(design).flatMap(({ hash }) => {
    const file = design.pictures[hash];
    return file === undefined ? [] : [{ hash, file }];
  });
  if (carried.length === 0) return NO_PICTURES;
  const decoded = await Promise.all(
    carried.map(async ({ hash, file }) => [hash, await decodeCarried(hash, file)] as const),
  );
  return new Map(decoded);
}

async function decodeCarried(hash: string, file: PictureFile): Promise<Picture> {
  const bytes = Buffer.from(file.base64, 'base64');
  if (createHash('sha256').update(bytes).digest('hex') !== hash) {
    throw new CoreError('picture/carried', { hash: hash.slice(0, 12) });
  }
  return { ...(await decodePicture(bytes)), file };
}
