import { divide, gcd, multiply, type Rational, rational, subtract } from '../../exact/rational.ts';
import type { Vector } from '../../exact/vector.ts';
import type { Lattice } from '../repeat-unit.ts';

/**
 * What several lattices have in common, in repeats of an upright one that all of them hold: their dual lattices, which
 * are whole there, are put together.
 *
 * @param lattices  in common repeats; all hold (1, 0) and (0, 1)
 * @returns         the first vector level, the second the lowest above it
 */
export function commonLattice(lattices: readonly Lattice[]): Lattice {
  const rows = lattices.flatMap(dualOf).map(({ x, y }): WholeRow => [y.n, x.n]);
  const { level, aslant } = hermite(rows);
  const [b, d] = aslant;
  // The dual of (d, b) and (0, a) is (1/d, 0) and (−b/(ad), 1/a).
  return [
    { x: rational(1n, d), y: rational(0) },
    { x: rational(b === 0n ? 0n : level - b, level * d), y: rational(1n, level) },
  ];
}

type WholeRow = readonly [bigint, bigint];

/** Its dual: vectors whose products with both of its own are whole. */
function dualOf([p, q]: Lattice): readonly [Vector, Vector] {
  const area = subtract(multiply(p.x, q.y), multiply(p.y, q.x));
  const over = (value: Rational) => divide(value, area);
  const less = (value: Rational) => multiply(rational(-1), value);
  return [
    { x: over(q.y), y: over(less(q.x)) },
    { x: over(less(p.y)), y: over(p.x) },
  ];
}

/** The same rows as two: (level, 0) and (b, d), level and d above 0 and 0 ≤ b < level. */
function hermite(rows: readonly WholeRow[]): { readonly level: bigint; readonly aslant: WholeRow } {
  let level = 0n;
  let rest: WholeRow = [0n, 0n];
  for (const row of rows) {
    let one = rest;
    let other = row;
    while (other[1] !== 0n) {
      const times = one[1] / other[1];
      const left: WholeRow = [one[0] - times * other[0], one[1] - times * other[1]];
      one = other;
      other = left;
    }
    rest = one[1] < 0n ? [-one[0], -one[1]] : one;
    level = gcd(level, other[0]);
  }
  return { level, aslant: [((rest[0] % level) + level) % level, rest[1]] };
}
