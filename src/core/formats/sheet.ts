import { CoreError } from '../error.ts';
import { parseExact } from '../exact/parse-exact.ts';
import type { Rectangle, Vector } from '../exact/vector.ts';
import type { Block } from '../repeat/block-unit.ts';
import { type LengthUnit, parseLength } from '../units/length.ts';

/** How much a picture shows: so many repeats, a size in millimetres, or a crop in pixels. */
export type Sheet =
  | { readonly kind: 'repeats'; readonly repeats: Block }
  | { readonly kind: 'size'; readonly size: Rectangle }
  | { readonly kind: 'crop'; readonly width: number; readonly height: number };

/** Between two sides; the x of px is none. */
const PARTED = /(?<!p)[x×]/i;

/** Most repeats each way. */
const MOST_REPEATS = 100_000;

/**
 * Reads a sheet's size: "12inx12in", "300 x 200 mm", "1200 x 800 px", `54"`; one number for a square, one unit at the
 * end for both.
 *
 * @param pixel  millimetres of a pixel, each way
 * @throws CoreError "send/size" {text}, or as `parseLength`
 */
export function parseSheet(text: string, unit: LengthUnit, pixel: Vector): Sheet {
  const parts = text.split(PARTED).map((part) => part.trim());
  if (parts.length > 2 || parts.includes('')) throw new CoreError('send/size', { text });
  const last = /(mm|cm|m|in|"|px)$/i.exec(parts.at(-1)!)?.[1] ?? '';
  const whole = parts.map((part) => (/[a-z"]$/i.test(part) ? part : `${part} ${last}`));
  const size = {
    width: parseLength(whole[0]!, unit, pixel.x),
    height: parseLength(whole.at(-1)!, unit, pixel.y),
  };
  return { kind: 'size', size };
}

/**
 * Reads so many repeats: "3 x 2", "4".
 * @throws CoreError "send/repeats" {text, most}
 */
export function parseRepeats(text: string): Sheet {
  const counts = text.split(PARTED).map((part) => {
    const value = parseExact(part);
    return value.d === 1n ? Number(value.n) : Number.NaN;
  });
  const fit = counts.every((count) => count >= 1 && count <= MOST_REPEATS);
  if (counts.length > 2 || !fit) throw new CoreError('send/repeats', { text, most: MOST_REPEATS });
  return { kind: 'repeats', repeats: { across: counts[0]!, down: counts.at(-1)! } };
}
