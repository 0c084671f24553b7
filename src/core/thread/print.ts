import { type Blend, layOver } from '../colour/blend.ts';
import { hexOf, rgbOf } from '../colour/hex.ts';
import type { Shade } from '../colour/shade.ts';
import { CoreError } from '../error.ts';
import { parseExact } from '../exact/parse-exact.ts';
import { compare, ONE, type Rational, toNumber } from '../exact/rational.ts';
import type { Cells } from './cells.ts';
import { MAX_REPEAT } from './cross.ts';
import { smallestPeriod } from './smallest-period.ts';

/** How one set of stripes is printed over the other. */
export interface Print {
  readonly blend: Blend;
  /** 0 … 1; 1/2 with "normal" is the mean of both. */
  readonly strength: Rational;
  /** Which set of stripes is laid over the other. */
  readonly top: 'warp' | 'weft';
}

/** What is printed: one shade index a thread, each way; the first pick is the lowest. */
export interface Printing {
  readonly shades: readonly Shade[];
  readonly warp: Uint16Array;
  readonly weft: Uint16Array;
  readonly print: Print;
}

/**
 * Reads a strength such as "1/2" or "0.35".
 * @throws CoreError as `parseExact`, or "print/strength" {text}
 */
export function parseStrength(text: string): Rational {
  const value = parseExact(text);
  if (value.n < 0n || compare(value, ONE) > 0) throw new CoreError('print/strength', { text });
  return value;
}

/**
 * Prints stripes over stripes: every cell takes the colour of its two shades laid over each other. There is one shade
 * for each pair that meets; the repeat is that of the two sequences.
 * Source: W3C Compositing and Blending Level 1.
 *
 * @throws CoreError "repeat/too-large" {ends, picks, most}
 */
export function printOver({ shades, warp, weft, print }: Printing): Cells {
  const width = smallestPeriod(warp);
  const height = smallestPeriod(weft);
  if (width > MAX_REPEAT || height > MAX_REPEAT) {
    throw new CoreError('repeat/too-large', { ends: width, picks: height, most: MAX_REPEAT });
  }
  const mixed: Shade[] = [];
  const known = new Map<number, number>();
  const mix = (end: number, pick: number) => {
    const pair = end * shades.length + pick;
    const found = known.get(pair);
    if (found !== undefined) return found;
    known.set(pair, mixed.length);
    return mixed.push(mixOf(shades[end]!, shades[pick]!, print)) - 1;
  };
  const rowOf = new Map<number, number>();
  const rows: Uint16Array[] = [];
  const rowAt = new Uint32Array(height);
  for (let pick = 0; pick < height; pick += 1) {
    const shade = weft[pick]!;
    let row = rowOf.get(shade);
    if (row === undefined) {
      row = rows.push(Uint16Array.from({ length: width }, (_, end) => mix(warp[end]!, shade))) - 1;
      rowOf.set(shade, row);
    }
    rowAt[height - 1 - pick] = row;
  }
  return { kind: 'cells', width, height, shades: mixed, rows, rowAt };
}

function mixOf(warp: Shade, weft: Shade, { blend, strength, top }: Print): Shade {
  const [under, over] = top === 'warp' ? [weft, warp] : [warp, weft];
  const hex = hexOf(layOver(rgbOf(under.hex), rgbOf(over.hex), blend, toNumber(strength)));
  return { key: `${over.key}/${under.key}`, name: `${over.name} over ${under.name}`, hex };
}
