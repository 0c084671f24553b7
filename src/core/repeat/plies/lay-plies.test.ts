import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CoreError } from '../../error.ts';
import { ORIGIN } from '../../exact/plane.ts';
import { add, isWhole, multiply, ONE, type Rational, rational, toNumber } from '../../exact/rational.ts';
import { root, type Surd, surd, surdToNumber } from '../../exact/surd.ts';
import type { Vector } from '../../exact/vector.ts';
import type { Cells } from '../../thread/cells.ts';
import { closeNumbers } from '../contents.ts';
import { type Lattice, type Ply, type RepeatUnit, repeatSize, straightUnit } from '../repeat-unit.ts';
import { commonLattice } from './common-lattice.ts';
import { commonRepeat } from './common-repeat.ts';
import { layPlies } from './lay-plies.ts';

const size = (width: Surd, height = width) => ({ width, height });
const third = root(rational(1), 3);

describe('a common repeat', () => {
  it.each([
    ['24 and 36 threads', [24, 36], 72, [3, 2]],
    ['24 and 35 threads', [24, 35], 840, [35, 24]],
    ['a 12 mm stripe under a 7 mm grid', [12, 7], 84, [7, 12]],
    ['three of one width', [5, 5, 5], 5, [1, 1, 1]],
    ['one alone', [9], 9, [1]],
  ])('of %s', (_, widths, whole, times) => {
    const found = commonRepeat(widths.map((width) => size(surd(width))));
    expect(found).toEqual({
      kind: 'common',
      size: size(surd(whole)),
      times: times.map((each) => ({ across: each, down: each })),
    });
  });

  it('of fractions is that of their tops over that of their bottoms', () => {
    const found = commonRepeat([size(surd(rational(3, 4))), size(surd(rational(5, 6)))]);
    expect(found).toMatchObject({
      size: size(surd(rational(15, 2))),
      times: [{ across: 10 }, { across: 9 }],
    });
  });

  it('of roots is exact where their ratio is a fraction', () => {
    const found = commonRepeat([size(surd(2), third), size(surd(3), root(rational(5, 2), 3))]);
    expect(found).toMatchObject({
      size: { width: surd(6), height: root(rational(5), 3) },
      times: [
        { across: 3, down: 5 },
        { across: 2, down: 2 },
      ],
    });
  });

  it('is told to be none, and which repeat and which side is why', () => {
    expect(commonRepeat([size(surd(2)), size(surd(3)), size(surd(2), third)])).toEqual({
      kind: 'none',
      other: 2,
      axis: 'down',
    });
  });

  it('is not counted where it is too long', () => {
    const found = commonRepeat([size(surd(1_000_003)), size(surd(999_983))]);
    expect(found).toEqual({ kind: 'too-long', other: 1, axis: 'across' });
  });

  it('is the first multiple of one that is a multiple of all, by trying', () => {
    const some = fc
      .integer({ min: 1, max: 30 })
      .chain((n) => fc.tuple(fc.constant(n), fc.integer({ min: 1, max: 6 })));
    fc.assert(
      fc.property(fc.array(some, { minLength: 1, maxLength: 3 }), (parts) => {
        const lengths = parts.map(([n, d]) => rational(n, d));
        const found = commonRepeat(lengths.map((length) => size(surd(length))));
        if (found.kind !== 'common') throw new Error('expected a common repeat');
        let times = 1;
        const goesInto = (whole: Rational) =>
          lengths.every(({ n, d }) => isWhole(multiply(whole, rational(d, n))));
        while (!goesInto(multiply(lengths[0]!, rational(times)))) times += 1;
        expect(found.times[0]!.across).toBe(times);
      }),
    );
  });
});

/** Vectors that span a lattice holding (1, 0) and (0, 1), by a few parts of them. */
const someLattice: fc.Arbitrary<Lattice> = fc
  .record({
    across: fc.integer({ min: 1, max: 5 }),
    up: fc.integer({ min: 1, max: 5 }),
    shift: fc.integer({ min: 0, max: 4 }),
  })
  .map(({ across, up, shift }) => [
    { x: rational(1, across), y: rational(0) },
    // The row above lies so many parts further, which come to whole ones after all rows.
    { x: rational(shift, across * up), y: rational(1, up) },
  ]);

/** Whether whole combinations of a lattice's vectors lead to a place. */
function holds([p, q]: Lattice, { x, y }: Vector): boolean {
  const less = (value: Rational) => multiply(rational(-1), value);
  const area = add(multiply(p.x, q.y), less(multiply(p.y, q.x)));
  const i = multiply(add(multiply(x, q.y), less(multiply(y, q.x))), rational(area.d, area.n));
  const j = multiply(add(multiply(p.x, y), less(multiply(p.y, x))), rational(area.d, area.n));
  return isWhole(i) && isWhole(j);
}

describe('what lattices have in common', () => {
  it('is every place that all of them hold, and no other', () => {
    fc.assert(
      fc.property(fc.array(someLattice, { minLength: 1, maxLength: 3 }), (lattices) => {
        const unitary = lattices.filter(
          (lattice) =>
            holds(lattice, { x: ONE, y: rational(0) }) && holds(lattice, { x: rational(0), y: ONE }),
        );
        fc.pre(unitary.length > 0);
        const common = commonLattice(unitary);
        expect(common[0].y).toEqual(rational(0));
        // Every place of a grid so fine that each lattice lies on it.
        const parts = 25 * 16 * 9;
        const step = unitary.flatMap((lattice) => lattice.flatMap(({ x, y }) => [x.d, y.d]));
        const fine = step.reduce((all, d) => (parts % Number(d) === 0 ? all : all * d), BigInt(parts));
        const sample = fc.sample(fc.tuple(fc.nat(120), fc.nat(120)), { numRuns: 60, seed: 1 });
        const grid = Number(fine) / 60;
        for (const [i, j] of sample) {
          const place = { x: rational(i * grid, Number(fine)), y: rational(j * grid, Number(fine)) };
          expect(holds(common, place)).toBe(unitary.every((lattice) => holds(lattice, place)));
        }
        for (const vector of common) {
          for (const lattice of unitary) expect(holds(lattice, vector)).toBe(true);
        }
      }),
    );
  });

  it('of two half-drops is a half-drop of both', () => {
    const drop = (rows: number): Lattice => [
      { x: rational(1, rows), y: rational(0) },
      { x: rational(1, 2 * rows), y: rational(1, 2) },
    ];
    const [across, up] = commonLattice([drop(1), drop(3)]);
    expect([across, up].map(({ x, y }) => [toNumber(x), toNumber(y)])).toEqual([
      [1, 0],
      [0.5, 0.5],
    ]);
  });

  it('of a straight one and a half-drop of its size is the straight one', () => {
    const straight: Lattice = [
      { x: ONE, y: rational(0) },
      { x: rational(0), y: ONE },
    ];
    const drop: Lattice = [
      { x: ONE, y: rational(0) },
      { x: rational(1, 2), y: rational(1, 2) },
    ];
    expect(commonLattice([straight, drop])).toEqual(straight);
  });
});

/** Cells of one shade. */
function plain(ends: number, picks = ends): Cells {
  return {
    kind: 'cells',
    width: ends,
    height: picks,
    shades: [{ key: 'A', name: 'A', hex: '#224466' }],
    rows: [new Uint16Array(ends)],
    rowAt: new Uint32Array(picks),
  };
}

function ply(unit: RepeatUnit, change: Partial<Ply> = {}): Omit<Ply, 'times'> {
  return { unit, shift: ORIGIN, blend: 'normal', strength: ONE, clip: null, shown: true, ...change };
}

const threads = (ends: number, picks = ends) => straightUnit(plain(ends, picks), { x: ONE, y: ONE });

describe('plies', () => {
  it('are laid in their common repeat, and prove that they close in it', () => {
    const unit = layPlies([ply(threads(24, 10)), ply(threads(36, 15))]);
    expect(surdToNumber(repeatSize(unit)!.width)).toBe(72);
    expect(surdToNumber(repeatSize(unit)!.height)).toBe(30);
    expect(closeNumbers(unit)).toMatchObject({
      kind: 'plies',
      closed: true,
      plies: [
        { fits: true, times: { across: 3, down: 3 } },
        { fits: true, times: { across: 2, down: 2 } },
      ],
    });
  });

  it('that were counted wrong are told by the proof', () => {
    const unit = layPlies([ply(threads(24)), ply(threads(36))]);
    const [first, second] = unit.content.plies;
    const wrong = { ...second!, times: { across: 3, down: 2 } };
    const proof = closeNumbers({ ...unit, content: { kind: 'plies', plies: [first!, wrong] } });
    expect(proof).toMatchObject({ closed: false, plies: [{ fits: true }, { fits: false }] });
  });

  it.each<[string, () => unknown, Record<string, unknown>]>([
    ['plies/count', () => layPlies([]), { count: 0, most: 12 }],
    ['plies/no-repeat', () => layPlies([ply({ ...threads(4), repeat: null })]), { ply: 1 }],
    [
      'plies/never',
      () => layPlies([ply(threads(4)), ply({ ...threads(4), pitch: { x: third, y: surd(1) } })]),
      { ply: 2, axis: 'across' },
    ],
    [
      'plies/too-long',
      () =>
        layPlies([
          ply(threads(1)),
          ply({ ...threads(1), pitch: { x: surd(1), y: surd(rational(1, 2_000_000)) } }),
        ]),
      { ply: 2, axis: 'down' },
    ],
  ])('that cannot be laid are refused: %s', (code, lay, facts) => {
    expect(lay).toThrow(CoreError);
    expect(lay).toThrow(expect.objectContaining({ code, facts }));
  });
});
