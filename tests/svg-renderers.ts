import { Resvg } from '@resvg/resvg-js';
import sharp from 'sharp';

/** resvg samples four lines of a pixel, too few to tell sixteenths: it renders larger, and pixels are averaged. */
const FINER = 4;

/** A drawing by two renderers, in so many pixels. */
export async function rendered(
  svg: string,
  width: number,
  height: number,
): Promise<Readonly<Record<string, Uint8Array>>> {
  const sized = (times: number) =>
    svg.replace(/width="[\d.]+mm" height="[\d.]+mm"/, `width="${width * times}" height="${height * times}"`);
  return {
    resvg: averaged(new Resvg(sized(FINER)).render().pixels, width),
    librsvg: await sharp(Buffer.from(sized(1)))
      .ensureAlpha()
      .raw()
      .toBuffer(),
  };
}

/** Means of FINER × FINER pixels each, of four bytes. */
function averaged(pixels: Uint8Array, width: number): Uint8Array {
  const out = new Float64Array(pixels.length / (FINER * FINER));
  pixels.forEach((byte, at) => {
    const [pixel, channel] = [Math.floor(at / 4), at % 4];
    const column = Math.floor((pixel % (width * FINER)) / FINER);
    const row = Math.floor(pixel / (width * FINER * FINER));
    out[(row * width + column) * 4 + channel]! += byte / (FINER * FINER);
  });
  return Uint8Array.from(out, Math.round);
}

/**
 * Pixels that lie inside one shade, no edge near: those that all their neighbours are like; and how many of them differ.
 * @param levels  of 255 that do not count: a renderer that blends in bytes loses one where shapes of a shade overlap
 */
export function insides(
  ours: Uint8Array,
  theirs: Uint8Array,
  width: number,
  levels = 0,
): { count: number; differing: number } {
  const own = new Uint32Array(Uint8Array.from(ours).buffer);
  let [count, differing] = [0, 0];
  for (let at = width + 1; at < own.length - width - 1; at += 1) {
    const round = [-width - 1, -width, -width + 1, -1, 1, width - 1, width, width + 1];
    if (round.some((way) => own[at + way] !== own[at])) continue;
    count += 1;
    const bytes = [0, 1, 2, 3].map((channel) => at * 4 + channel);
    if (bytes.some((byte) => Math.abs(ours[byte]! - theirs[byte]!) > levels)) differing += 1;
  }
  return { count, differing };
}
