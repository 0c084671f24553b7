import sharp, { type Metadata, type Sharp } from 'sharp';
import type { PictureHeader } from '../../contracts/picture.ts';
import { LINEAR_OF_BYTE } from '../../core/colour/linear.ts';
import { CoreError } from '../../core/error.ts';
import {
  type BlockGrid,
  finestBlock,
  gatherBlocks,
  MAX_PICTURE_PIXELS,
} from '../../core/picture/block-grid.ts';

/** Kinds of picture that are read. */
const KINDS: readonly string[] = ['jpeg', 'png', 'webp'];

export interface ReadPicture {
  readonly grid: BlockGrid;
  readonly notes: PictureHeader['notes'];
}

/**
 * Reads a JPEG, PNG or WebP as a grid of blocks, upright as its EXIF orientation wishes, in sRGB; the first picture
 * of an animated one; what is transparent laid on white.
 *
 * @throws CoreError as `openPicture`, "picture/broken" {reason}
 */
export async function readPicture(bytes: Uint8Array): Promise<ReadPicture> {
  const { image, about } = await openPicture(bytes);
  const { hasAlpha, pages, orientation } = about;
  const { data, info } = await image
    .autoOrient()
    .flatten({ background: '#ffffff' })
    .toColourspace('srgb')
    .raw({ depth: 'uchar' })
    .toBuffer({ resolveWithObject: true })
    .catch((error: Error) => {
      throw new CoreError('picture/broken', { reason: error.message.split('\n')[0]!.slice(0, 120) });
    });
  const gatherer = gatherBlocks(info, finestBlock(info.width, info.height), LINEAR_OF_BYTE);
  gatherer.addRows(info.channels === 3 ? data : threeChannels(data, info.channels));
  const notes: PictureHeader['notes'] = [];
  if ((orientation ?? 1) > 1) notes.push('turned');
  if ((pages ?? 1) > 1) notes.push('first-of-many');
  if (hasAlpha) notes.push('laid-on-white');
  return { grid: gatherer.finish(), notes };
}

/**
 * Opens a picture of a kind and a size that are read.
 * @throws CoreError "picture/not-one" | "picture/kind" {kind, kinds} | "picture/too-large" {width, height, most}
 */
export async function openPicture(bytes: Uint8Array): Promise<{ image: Sharp; about: Metadata }> {
  const { image, about } = await openAny(bytes);
  const { width, height, format } = about;
  if (!KINDS.includes(format)) throw new CoreError('picture/kind', { kind: format, kinds: KINDS });
  if (width * height > MAX_PICTURE_PIXELS) {
    throw new CoreError('picture/too-large', { width, height, most: MAX_PICTURE_PIXELS / 1_000_000 });
  }
  return { image, about };
}

/** @throws CoreError "picture/not-one" */
async function openAny(bytes: Uint8Array): Promise<{ image: Sharp; about: Metadata }> {
  try {
    const image = sharp(bytes, { limitInputPixels: false, sequentialRead: true, failOn: 'truncated' });
    return { image, about: await image.metadata() };
  } catch {
    throw new CoreError('picture/not-one', {});
  }
}

/** Grey pixels, or such with a channel too many, as three bytes each. */
function threeChannels(data: Uint8Array, channels: number): Uint8Array {
  const pixels = data.length / channels;
  const out = new Uint8Array(pixels * 3);
  for (let pixel = 0; pixel < pixels; pixel += 1) {
    for (let channel = 0; channel < 3; channel += 1) {
      out[pixel * 3 + channel] = data[pixel * channels + (channels < 3 ? 0 : channel)]!;
    }
  }
  return out;
}
