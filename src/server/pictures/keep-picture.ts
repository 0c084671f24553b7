import { createHash } from 'node:crypto';
import sharp, { type Metadata, type Sharp } from 'sharp';
import type { KeptPicture } from '../../contracts/picture.ts';
import { MAX_PICTURE_SIDE } from '../../core/design/picture-schema.ts';
import { CoreError } from '../../core/error.ts';
import type { PictureFile } from '../../core/shape/picture.ts';
import { openPicture } from './read-picture.ts';

/** Largest file that is kept, in bytes. */
const MAX_KEPT = 8_000_000;

interface PictureBytes {
  readonly type: PictureFile['type'];
  readonly bytes: Uint8Array<ArrayBuffer>;
}

/** A picture as it is kept, and what was done to it. */
export interface ReadyPicture extends PictureBytes {
  readonly about: KeptPicture;
}

type Format = 'png' | 'jpeg' | 'webp';

/**
 * Makes a JPEG, PNG or WebP ready to be kept: as it is where it is upright, in plain sRGB, holds nothing about where and
 * how it was taken, and is not too large; else written anew, the same pixels if they are not too many.
 *
 * @throws CoreError as `openPicture`, "picture/heavy" {most}
 */
export async function readyPicture(bytes: Uint8Array): Promise<ReadyPicture> {
  const { image, about } = await openPicture(bytes);
  const notes: KeptPicture['notes'] = [];
  if ((about.orientation ?? 1) > 1) notes.push('turned');
  if ((about.pages ?? 1) > 1) notes.push('first-of-many');
  if (Math.max(about.width, about.height) > MAX_PICTURE_SIDE) notes.push('shrunk');
  const format = about.format as Format;
  const isPlain = notes.length === 0 && isWithoutMore(about) && bytes.length <= MAX_KEPT;
  const file: PictureBytes = isPlain
    ? { type: `image/${format}`, bytes: new Uint8Array(bytes) }
    : await rewritten(image, format, about.hasAlpha);
  const { width, height } = await decodedSize(file.bytes);
  const hash = createHash('sha256').update(file.bytes).digest('hex');
  return { about: { hash, width, height, notes }, ...file };
}

/** Whether a file holds pixels in sRGB bytes and nothing besides. */
function isWithoutMore({ icc, exif, iptc, xmp, depth, space }: Metadata): boolean {
  return [icc, exif, iptc, xmp].every((part) => part === undefined) && depth === 'uchar' && space === 'srgb';
}

/** In the format that it had, or in one that takes less room. @throws CoreError "picture/broken" | "picture/heavy" */
async function rewritten(image: Sharp, format: Format, hasAlpha: boolean): Promise<PictureBytes> {
  const upright = image
    .autoOrient()
    .resize(MAX_PICTURE_SIDE, MAX_PICTURE_SIDE, { fit: 'inside', withoutEnlargement: true })
    .toColourspace('srgb');
  const write = async (as: Format): Promise<PictureBytes> => {
    const made = await WRITERS[as](upright.clone()).toBuffer().catch(broken);
    return { type: `image/${as}`, bytes: new Uint8Array(made) };
  };
  const same = await write(format);
  if (same.bytes.length <= MAX_KEPT) return same;
  const smaller = await write(hasAlpha ? 'webp' : 'jpeg');
  if (smaller.bytes.length <= MAX_KEPT) return smaller;
  throw new CoreError('picture/heavy', { most: MAX_KEPT / 1_000_000 });
}

const WRITERS: Readonly<Record<Format, (image: Sharp) => Sharp>> = {
  png: (image) => image.png(),
  jpeg: (image) => image.jpeg({ quality: 95, chromaSubsampling: '4:4:4' }),
  webp: (image) => image.webp({ quality: 95, alphaQuality: 100 }),
};

function broken(error: Error): never {
  throw new CoreError('picture/broken', { reason: error.message.split('\n')[0]!.slice(0, 120) });
}

/** Reads it to its end. @throws CoreError "picture/broken" {reason} */
async function decodedSize(file: Uint8Array): Promise<{ width: number; height: number }> {
  const { info } = await sharp(file, { failOn: 'truncated' })
    .raw()
    .toBuffer({ resolveWithObject: true })
    .catch(broken);
  return info;
}
