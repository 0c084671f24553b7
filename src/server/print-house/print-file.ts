import sharp from 'sharp';
import type { PRINT_REFUSALS, PrintOrder } from '../../contracts/print-house.ts';
import { encodePng } from '../../core/formats/png/encode-png.ts';
import { pressOf } from '../../core/print/press.ts';
import { isReached, lightOfHex } from '../../core/print/printed-colour.ts';
import { substrateOf } from '../../core/print/substrate.ts';
import { nodeCompressor } from '../sending/node-compressor.ts';

/** Side of the piece that a strike-off shows, in millimetres, and how fine. */
const PIECE = 200;
const DPI = 150;

/** Pixels a side that a file is made small to, to look at its colours. */
const LOOKED_AT = 64;

/** Part of a file that may be of colours that the inks do not reach. */
const MOST_BEYOND = 0.3;

/** Looks at the file of an order. @returns why it is refused */
export async function lookAt(
  order: PrintOrder,
  file: Uint8Array,
): Promise<(typeof PRINT_REFUSALS)[number] | undefined> {
  try {
    const picture = sharp(file, { limitInputPixels: false });
    const { format, width, height } = await picture.metadata();
    if (format !== 'png' || width !== order.width || height !== order.height) return 'file';
    const small = await picture
      .resize(LOOKED_AT, LOOKED_AT, { fit: 'fill', kernel: 'nearest' })
      .flatten({ background: '#ffffff' })
      .raw()
      .toBuffer();
    return partBeyond(small) > MOST_BEYOND ? 'colours' : undefined;
  } catch {
    return 'file';
  }
}

/** Part of some pixels that no inks reach. */
function partBeyond(pixels: Buffer): number {
  let beyond = 0;
  for (let at = 0; at < pixels.length; at += 3) {
    if (!isReached(lightOfHex(`#${pixels.toString('hex', at, at + 3)}`))) beyond += 1;
  }
  return beyond / (pixels.length / 3);
}

/** Pixels of a side of the piece. */
const SIDE = Math.round((PIECE / 25.4) * DPI);

/** Most repeats that are brought to whole pixels together. */
const MOST_TOGETHER = 16;

/**
 * The fewest repeats that, each so many pixels of the print, come nearest to whole pixels together: a file whose repeats were
 * rounded once already is not rounded again, each by itself.
 */
function wholeTogether(one: number): { readonly repeats: number; readonly pixels: number } {
  let best = { repeats: 1, pixels: Math.max(1, Math.round(one)), miss: Number.POSITIVE_INFINITY };
  for (let repeats = 1; repeats <= MOST_TOGETHER && best.miss * SIDE > 0.5; repeats += 1) {
    const pixels = Math.max(1, Math.round(one * repeats));
    const miss = Math.abs(pixels / (one * repeats) - 1);
    if (miss < best.miss - 1e-9) best = { repeats, pixels, miss };
  }
  return best;
}

/** The picture of a piece as it is printed, as PNG. */
export async function strikeOffOf(order: PrintOrder, file: Uint8Array): Promise<Buffer> {
  const scale = DPI / order.dpi;
  const across = wholeTogether(order.width * scale);
  const down = wholeTogether(order.height * scale);
  const { pixels: width } = across;
  const { pixels: height } = down;
  const block = await sharp(file, { limitInputPixels: false })
    .extend({
      right: (across.repeats - 1) * order.width,
      bottom: (down.repeats - 1) * order.height,
      extendWith: 'repeat',
    })
    .png()
    .toBuffer();
  const tile = await sharp(block, { limitInputPixels: false })
    .resize(width, height, { fit: 'fill' })
    .ensureAlpha()
    .raw()
    .toBuffer();
  const pixels = new Uint32Array(tile.buffer.slice(tile.byteOffset, tile.byteOffset + tile.byteLength));
  const side = SIDE;
  const pixelsPerMetre = { x: Math.round(DPI / 0.0254), y: Math.round(DPI / 0.0254) };
  const print = pressOf(substrateOf(order.substrate), pixelsPerMetre);
  const rows = function* () {
    for (let y = 0; y < side; y += 1) {
      const from = (y % height) * width;
      yield print(
        Uint32Array.from({ length: side }, (_, x) => pixels[from + (x % width)]!),
        y,
      );
    }
  };
  const pieces: Uint8Array[] = [];
  const image = {
    width: side,
    height: side,
    pixelsPerMetre,
    channels: 3,
    palette: undefined,
    opacity: undefined,
    period: { across: side, down: side },
    rows,
  } as const;
  for await (const piece of encodePng(image, nodeCompressor)) pieces.push(piece);
  return Buffer.concat(pieces);
}
