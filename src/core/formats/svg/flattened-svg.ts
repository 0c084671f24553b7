import { multiply, rational, toDecimal } from '../../exact/rational.ts';
import type { Rectangle, Vector } from '../../exact/vector.ts';
import { nearSize, type RepeatUnit, repeatSize } from '../../repeat/repeat-unit.ts';
import { orderPicture, type PictureScale } from '../picture-order.ts';
import type { Compressor } from '../png/png-image.ts';
import { unitToPng } from '../png/unit-png.ts';
import { UNSHRUNK } from '../shrinkage.ts';
import { escapeXml } from './escape-xml.ts';
import { PLACES } from './length-text.ts';

/** How a flattened drawing is made. */
export interface FlattenWish {
  readonly scale: PictureScale;
  /** Millimetres; left out, one repeat is drawn. */
  readonly sheet: Rectangle | undefined;
  /** What all lengths are multiplied by, each way. */
  readonly stretch?: Vector | undefined;
  readonly compressor: Compressor;
  /** RFC 4648, §4, with padding. */
  readonly base64: (bytes: Uint8Array) => string;
}

/**
 * A drawing of true size whose repeat is a picture, for programs that know no blend modes: all that blends is in its pixels
 * already. Where one repeat does not close on whole pixels, the picture holds as many as do.
 * @throws CoreError as `orderPicture`
 */
export function flattenedSvg(unit: RepeatUnit, title: string, wish: FlattenWish): AsyncIterable<string> {
  const { scale, sheet, stretch = UNSHRUNK, compressor, base64 } = wish;
  const order = orderPicture(unit, scale, undefined, stretch);
  const { across, down } = order.block;
  const size = nearSize(repeatSize(unit)!);
  const box = sheet ?? size;
  const text = (side: Rectangle['width']) => toDecimal(side, PLACES);
  const tile = `width="${text(multiply(size.width, rational(across)))}" height="${text(multiply(size.height, rational(down)))}"`;
  const view = `width="${text(box.width)}" height="${text(box.height)}"`;
  const block = { ...order, width: order.tile.width, height: order.tile.height };
  return (async function* () {
    yield `<svg xmlns="http://www.w3.org/2000/svg" width="${text(multiply(box.width, stretch.x))}mm" ` +
      `height="${text(multiply(box.height, stretch.y))}mm" preserveAspectRatio="none" viewBox="0 0 ${text(box.width)} ${text(box.height)}">\n<title>${escapeXml(title)}</title>\n` +
      `<defs><pattern id="repeat" ${tile} patternUnits="userSpaceOnUse">` +
      `<image ${tile} preserveAspectRatio="none" href="data:image/png;base64,`;
    yield* encoded(unitToPng(unit, block, compressor), base64);
    yield `"/></pattern></defs>\n<rect ${view} fill="url(#repeat)"/>\n</svg>\n`;
  })();
}

/** Bytes as text: three are four letters, so that pieces end after threes. */
export async function* encoded(
  pieces: AsyncIterable<Uint8Array>,
  base64: FlattenWish['base64'],
): AsyncIterable<string> {
  let left = new Uint8Array(0);
  for await (const piece of pieces) {
    const bytes = new Uint8Array(left.length + piece.length);
    bytes.set(left);
    bytes.set(piece, left.length);
    const whole = bytes.length - (bytes.length % 3);
    yield base64(bytes.subarray(0, whole));
    left = bytes.slice(whole);
  }
  if (left.length > 0) yield base64(left);
}
