import { CoreError } from '../error.ts';
import { add, multiply, type Rational, rational, round } from '../exact/rational.ts';
import { type Band, MAX_BANDS, MAX_COUNT } from './band.ts';

/** How the bands of a run grow. Widths in threads. */
export type Growth =
  | { readonly kind: 'arithmetic'; readonly first: Rational; readonly step: Rational }
  | { readonly kind: 'geometric'; readonly first: Rational; readonly ratio: Rational }
  | { readonly kind: 'fibonacci'; readonly first: Rational; readonly second: Rational };

/**
 * Graduated bands: widths by the rule, in whole threads, the shades in turn. Edges are rounded, not widths, so that
 * the total is the exact total, rounded once.
 *
 * @throws CoreError "run/bands" {bands, most} | "run/zero" {band} | "sequence/threads"
 */
export function graduatedRun(growth: Growth, bands: number, shades: readonly string[]): readonly Band[] {
  if (!Number.isSafeInteger(bands) || bands < 1 || bands > MAX_BANDS) {
    throw new CoreError('run/bands', { bands, most: MAX_BANDS });
  }
  return roundEdges(widthsOf(growth, bands)).map((count, index) => ({
    shade: shades[index % shades.length]!,
    count,
  }));
}

/** Exact widths; stops with an error before numbers grow without bound. */
function widthsOf(growth: Growth, bands: number): readonly Rational[] {
  const widths: Rational[] = [];
  let total = rational(0);
  for (let index = 0; index < bands; index += 1) {
    const width = nextWidth(growth, widths);
    if (width.n <= 0n) throw new CoreError('run/zero', { band: index + 1 });
    total = add(total, width);
    if (total.n > BigInt(MAX_COUNT) * total.d) {
      throw new CoreError('sequence/threads', { threads: Number(round(total)), most: MAX_COUNT });
    }
    widths.push(width);
  }
  return widths;
}

function nextWidth(growth: Growth, before: readonly Rational[]): Rational {
  const last = before.at(-1);
  if (last === undefined) return growth.first;
  switch (growth.kind) {
    case 'arithmetic':
      return add(last, growth.step);
    case 'geometric':
      return multiply(last, growth.ratio);
    case 'fibonacci':
      return before.length === 1 ? growth.second : add(before.at(-2)!, last);
    default:
      return growth satisfies never;
  }
}

/**
 * Whole counts whose edges are the exact edges, rounded, a tie up.
 * @throws CoreError "run/zero" {band} when a band would vanish
 */
export function roundEdges(widths: readonly Rational[]): readonly number[] {
  let exact = rational(0);
  let edge = 0;
  return widths.map((width, index) => {
    exact = add(exact, width);
    const next = Number(round(exact));
    const count = next - edge;
    if (count < 1) throw new CoreError('run/zero', { band: index + 1 });
    edge = next;
    return count;
  });
}
