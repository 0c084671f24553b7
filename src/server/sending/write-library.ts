import { stat } from 'node:fs/promises';
import sharp, { type Sharp } from 'sharp';
import { CoreError } from '../../core/error.ts';
import { LIBRARY_NAMES, type LibraryKind } from '../../core/formats/library-wish.ts';
import type { LibraryOrder } from './library-order.ts';

/** Rows that are written once more by themselves, to tell how long the file will be: few where they are long. */
const SAMPLE = 256;
const SAMPLE_PIXELS = 8_000_000;

/** Milliseconds after which the file's growth is told. */
const EVERY = 250;

/** Most bytes of a TIFF, whose places are told in 32 bits. Source: TIFF 6.0, section 2. */
const MOST_TIFF = 2 ** 32;

/**
 * Writes a picture with the image library, which repeats the tile as it goes and keeps none of the sheet.
 * The library tells nothing of its work, so it is told by the file's growth.
 *
 * @param told  hears how many rows are written, about
 * @throws      CoreError "send/tiff-too-large" {gibibytes} | "file/full" {name}
 */
export async function writeLibrary(
  order: LibraryOrder,
  told: (rows: number) => void = () => {},
): Promise<void> {
  const { height, kind, path } = order;
  const perRow = height > 4 * SAMPLE ? await bytesOfRow(order) : undefined;
  if (kind === 'tif' && perRow !== undefined && perRow * height > MOST_TIFF) {
    throw new CoreError('send/tiff-too-large', { gibibytes: Math.ceil((perRow * height) / 2 ** 30) });
  }
  const watch = setInterval(async () => {
    const size = await stat(path).then(
      (file) => file.size,
      () => 0,
    );
    if (perRow !== undefined) told(Math.min(height - 1, Math.floor(size / perRow)));
  }, EVERY);
  try {
    await packed(sheetOf(order, height), order).toFile(path);
  } catch (error) {
    throw refusedBy(error, kind) ?? error;
  } finally {
    clearInterval(watch);
  }
  told(height);
}

/** What the library says only in words, as an error with a sentence; undefined where it is another's. */
function refusedBy(error: unknown, kind: LibraryKind): CoreError | undefined {
  const words = String((error as Error).message);
  if (/no space left/i.test(words)) return new CoreError('file/full', { name: LIBRARY_NAMES[kind] });
  if (/maximum tiff file size/i.test(words)) return new CoreError('send/tiff-too-large', { gibibytes: 4 });
  return undefined;
}

/** Bytes of a row of the file, from its first rows. */
async function bytesOfRow(order: LibraryOrder): Promise<number> {
  const rows = Math.max(8, Math.min(SAMPLE, Math.floor(SAMPLE_PIXELS / order.width)));
  const sample = await packed(sheetOf(order, rows), order).toBuffer();
  return sample.length / rows;
}

/**
 * The tile repeated to a sheet of that height. A tile that is large is unpacked into a file by the library, so that memory
 * stays bounded.
 */
function sheetOf({ tile, tileSize, width }: LibraryOrder, height: number): Sharp {
  const shown = { width: tileSize.width, height: Math.min(tileSize.height, height) };
  return sharp(tile, { limitInputPixels: false })
    .extract({ left: 0, top: 0, ...shown })
    .extend({
      top: 0,
      left: 0,
      right: width - shown.width,
      bottom: height - shown.height,
      extendWith: 'repeat',
    });
}

/** How each kind is written. Nothing is gathered over the whole picture, so that memory stays bounded. */
const PACKERS: Readonly<Record<LibraryKind, (sheet: Sharp, order: LibraryOrder) => Sharp>> = {
  jpg: (sheet, { wish }) =>
    sheet.flatten({ background: '#ffffff' }).jpeg({
      quality: wish.quality,
      chromaSubsampling: wish.chroma === 'full' ? '4:4:4' : '4:2:0',
      optimiseCoding: false,
    }),
  tif: (sheet, { wish, perMillimetre }) =>
    sheet.tiff({
      compression: wish.compression,
      predictor: 'horizontal',
      resolutionUnit: 'inch',
      xres: perMillimetre.x,
      yres: perMillimetre.y,
    }),
  webp: (sheet, { wish }) =>
    sheet.webp({ quality: wish.quality, lossless: wish.quality === 100, smartSubsample: true }),
};

function packed(sheet: Sharp, order: LibraryOrder): Sharp {
  const written = PACKERS[order.kind](sheet, order);
  return order.wish.profile ? written.withIccProfile('srgb') : written;
}
