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

/** The picture of a piece as it is printed, as PNG. */
export async function strikeOffOf(order: PrintOrder, file: Uint8Array): Promise<Buffer> {
  const scale = DPI / order.dpi;
  const width = Math.max(1, Math.round(order.width * scale));
  const height = Math.max(1, Math.round(order.height * scale));
  const tile = await sharp(file, { limitInputPixels: false })
    .resize(width, height, { fit: 'fill' })
    .ensureAlpha()
    .raw()
    .toBuffer();
  const pixels = new Uint32Array(tile.buffer.slice(tile.byteOffset, tile.byteOffset + tile.byteLength));
  const side = Math.round((PIECE / 25.4) * DPI);
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
