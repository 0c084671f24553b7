import { CoreError } from '../error.ts';
import { type Rational, rational } from '../exact/rational.ts';

/** Cloth that is printed on. Its numbers are ours, of a size that is usual (common practice). */
export interface Substrate {
  readonly key: string;
  readonly name: string;
  /** Colour of the bare cloth. */
  readonly hex: string;
  /** Widest print, in millimetres. */
  readonly width: number;
  /** Threads in a centimetre, both ways. */
  readonly threads: number;
  /** How much the threads are seen: the part of the light that goes between two of them. */
  readonly relief: number;
  /** Dot gain at a half, beyond what the printer has corrected. */
  readonly gain: number;
  /** Light that solid black ink still reflects, of the bare cloth's 1. */
  readonly black: number;
  /** Parts of its length that it shrinks by in the wash. */
  readonly shrinkage: { readonly warp: number; readonly weft: number };
}

export const SUBSTRATES: readonly Substrate[] = [
  {
    key: 'cotton-lawn',
    name: 'Cotton lawn',
    hex: '#faf6ec',
    width: 1400,
    threads: 36,
    relief: 0.06,
    gain: 0.05,
    black: 0.03,
    shrinkage: { warp: 0.04, weft: 0.02 },
  },
  {
    key: 'cotton-canvas',
    name: 'Cotton canvas',
    hex: '#f3ecdb',
    width: 1500,
    threads: 14,
    relief: 0.16,
    gain: 0.08,
    black: 0.045,
    shrinkage: { warp: 0.03, weft: 0.02 },
  },
  {
    key: 'linen',
    name: 'Linen',
    hex: '#e6dcc6',
    width: 1350,
    threads: 18,
    relief: 0.14,
    gain: 0.1,
    black: 0.05,
    shrinkage: { warp: 0.05, weft: 0.04 },
  },
  {
    key: 'silk-twill',
    name: 'Silk twill',
    hex: '#fbf8f1',
    width: 1350,
    threads: 50,
    relief: 0.04,
    gain: 0.04,
    black: 0.02,
    shrinkage: { warp: 0.01, weft: 0.01 },
  },
];

/** The cloth that is printed on when nothing is said. */
export const USUAL_SUBSTRATE = SUBSTRATES[0]!.key;

/** What a cloth is called; one that is not known keeps its key. */
export function substrateName(key: string): string {
  return SUBSTRATES.find((each) => each.key === key)?.name ?? key;
}

/** @throws CoreError "print/substrate" {text, known} */
export function substrateOf(key: string): Substrate {
  const found = SUBSTRATES.find((each) => each.key === key);
  if (found === undefined) {
    throw new CoreError('print/substrate', {
      text: key,
      known: SUBSTRATES.map((each) => each.key).join(', '),
    });
  }
  return found;
}

/** Parts of its width and height that are left of a print after the wash; the weft runs across. */
export function leftOf({ shrinkage: { warp, weft } }: Substrate): {
  readonly x: Rational;
  readonly y: Rational;
} {
  const left = (part: number) => rational(1000 - Math.round(part * 1000), 1000);
  return { x: left(weft), y: left(warp) };
}
