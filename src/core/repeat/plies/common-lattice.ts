import { divide, multiply, type Rational, rational, subtract } from '../../exact/rational.ts';
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
  const rows = lattices.flatMap(dualOf).map(({ x, y }): WholeRow => [x.n, y.n]);
  const [[a], [b, d]] = hermite(rows);
  // The dual of (a, 0), (b, d) is (1/a, −b/(ad)), (0, 1/d), which holds the same as with its vectors exchanged below.
  const upright = { x: rational(0), y: rational(1n, d) };
  const aslant = { x: rational(1n, a), y: rational(-b, a * d) };
  return levelFirst([aslant, upright]);
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

/** The same rows as two: (a, 0) and (b, d), both a and d above 0 and 0 ≤ b < a. */
function hermite(rows: readonly WholeRow[]): readonly [readonly [bigint], WholeRow] {
  let level = 0n;
  let rest: WholeRow = [0n, 0n];
  for (const row of rows) {
    let [one, other] = [rest, row];
    while (other[1] !== 0n) {
      const times = one[1] / other[1];
      [one, other] = [other, [one[0] - times * other[0], one[1] - times * other[1]]];
    }
    rest = one[1] < 0n ? [-one[0], -one[1]] : one;
    level = greatest(level, other[0]);
  }
  return [[level], [modulo(rest[0], level), rest[1]]];
}

function greatest(one: bigint, other: bigint): bigint {
  let [a, b] = [one < 0n ? -one : one, other < 0n ? -other : other];
  while (b !== 0n) [a, b] = [b, a % b];
  return a;
}

function modulo(value: bigint, by: bigint): bigint {
  return ((value % by) + by) % by;
}

/** The same lattice with a level first vector: rows of one over the common denominator, brought to that form. */
function levelFirst(lattice: Lattice): Lattice {
  const whole = lattice
    .flatMap(({ x, y }) => [x.d, y.d])
    .reduce((all, d) => (all * d) / greatest(all, d), 1n);
  const rows = lattice.map(({ x, y }): WholeRow => [x.n * (whole / x.d), y.n * (whole / y.d)]);
  const [[a], [b, d]] = hermite(rows);
  return [
    { x: rational(a, whole), y: rational(0) },
    { x: rational(b, whole), y: rational(d, whole) },
  ];
}
