import { layOver, type PrintBlend } from '../colour/blend.ts';
import { hexOf, rgbOf } from '../colour/hex.ts';
import type { Shade } from '../colour/shade.ts';
import { CoreError } from '../error.ts';
import { parsePortion } from '../exact/parse-portion.ts';
import { compare, ONE, type Rational, toNumber, toText } from '../exact/rational.ts';
import type { Cells } from './cells.ts';
import { MAX_REPEAT } from './cross.ts';
import { smallestPeriod } from './smallest-period.ts';

/** How one set of stripes is printed over the other. */
export interface Print {
  readonly blend: PrintBlend;
  /** 0 … 1; 1/2 with "normal" is the mean of both. */
  readonly strength: Rational;
  /** Which set of stripes is laid over the other. */
  readonly top: 'warp' | 'weft';
  /** What lies under both: "#rrggbb". */
  readonly ground: string;
}

/** A shade as a band prints it; without a strength of its own it has that of its set of stripes. */
export interface Ink {
  readonly shade: Shade;
  readonly strength?: Rational | undefined;
}

/** What is printed: one index of an ink a thread, each way; the first pick is the lowest. */
export interface Printing {
  readonly inks: readonly Ink[];
  readonly warp: Uint16Array;
  readonly weft: Uint16Array;
  readonly print: Print;
}

/**
 * Reads a strength such as "1/2", "0.35" or "60%".
 * @throws CoreError as `parsePortion`, or "print/strength" {text}
 */
export function parseStrength(text: string): Rational {
  const value = parsePortion(text);
  if (value.n < 0n || compare(value, ONE) > 0) throw new CoreError('print/strength', { text });
  return value;
}

/**
 * Prints stripes over stripes: every cell takes the colour of its two inks laid over the ground and each other. There is
 * one shade for each pair that meets; the repeat is that of the two sequences.
 * Source: W3C Compositing and Blending Level 1.
 *
 * @throws CoreError "repeat/too-large" {ends, picks, most}
 */
export function printOver({ inks, warp, weft, print }: Printing): Cells {
  const width = smallestPeriod(warp);
  const height = smallestPeriod(weft);
  if (width > MAX_REPEAT || height > MAX_REPEAT) {
    throw new CoreError('repeat/too-large', { ends: width, picks: height, most: MAX_REPEAT });
  }
  const mixed: Shade[] = [];
  const known = new Map<number, number>();
  const mix = (end: number, pick: number) => {
    const pair = end * inks.length + pick;
    const found = known.get(pair);
    if (found !== undefined) return found;
    known.set(pair, mixed.length);
    return mixed.push(mixOf(inks[end]!, inks[pick]!, print)) - 1;
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

/** An ink where it is laid: how strongly, and whether a strength of its own was typed. */
interface Laid {
  readonly shade: Shade;
  readonly strength: Rational;
  readonly own: boolean;
}

/**
 * The colour of two inks that meet. The set of stripes on top is laid over the other, unless a band of that one was
 * given more strength: the stronger covers the weaker, so that a thin dark line goes over pale bands both ways.
 */
function mixOf(warp: Ink, weft: Ink, { blend, strength, top, ground }: Print): Shade {
  const upper = laid(top === 'warp' ? warp : weft, strength);
  const lower = laid(top === 'warp' ? weft : warp, ONE);
  const [under, over] =
    lower.own && compare(lower.strength, upper.strength) > 0 ? [upper, lower] : [lower, upper];
  const base = layOver(rgbOf(ground), rgbOf(under.shade.hex), 'normal', toNumber(under.strength));
  const hex = hexOf(layOver(base, rgbOf(over.shade.hex), blend, toNumber(over.strength)));
  return {
    key: `${inkText(over)}/${inkText(under)}`,
    name: `${over.shade.name} over ${under.shade.name}`,
    hex,
  };
}

function laid({ shade, strength }: Ink, usual: Rational): Laid {
  return { shade, strength: strength ?? usual, own: strength !== undefined };
}

function inkText({ shade, strength, own }: Laid): string {
  return own ? `${shade.key}@${toText(strength)}` : shade.key;
}
