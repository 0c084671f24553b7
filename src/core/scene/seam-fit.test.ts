import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Place } from '../shape/places.ts';
import type { ScenePart, Seam } from './scene.ts';
import { type ClothPlace, onCloth, onPart, seamFit } from './seam-fit.ts';

const STRAIGHT: ClothPlace = { scale: 1, degrees: 0, shift: { x: 0, y: 0 } };
const LATTICE: readonly [Place, Place] = [
  { x: 30, y: 0 },
  { x: 0, y: 20 },
];

function part(key: string, at: Place): ScenePart {
  return { key, name: key, at, box: { width: 100, height: 200 } };
}

/** Two parts side by side, sewn along the right edge of the left one. */
const SEAM: Seam = {
  name: 'Side',
  parts: ['left', 'right'],
  lines: [
    Array.from({ length: 9 }, (_, at) => ({ x: 100, y: at * 25 })),
    Array.from({ length: 9 }, (_, at) => ({ x: 0, y: at * 25 })),
  ],
};

function sewn(one: ClothPlace, other: ClothPlace, lattice = LATTICE) {
  const left = { part: part('left', { x: 0, y: 0 }), bends: [], place: one };
  const right = { part: part('right', { x: 100, y: 0 }), bends: [], place: other };
  return seamFit(SEAM, left, right, lattice);
}

describe('a seam', () => {
  it('of cloth that begins anew is off by what is left of a repeat', () => {
    // A part of 100 mm holds three repeats of 30 mm and ten more.
    const { off, left, shift } = sewn(STRAIGHT, STRAIGHT);
    expect(off).toBeCloseTo(10, 9);
    expect(left).toBeCloseTo(0, 9);
    expect(sewn(STRAIGHT, { ...STRAIGHT, shift }).off).toBeCloseTo(0, 9);
  });

  it('is never further off than half the diagonal of a repeat, and matched by the shift that is offered', () => {
    const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    const shift = fc.record({ x: number(-500, 500), y: number(-500, 500) });
    fc.assert(
      fc.property(number(0.2, 3), number(-180, 180), shift, shift, (scale, degrees, one, other) => {
        const first = { scale, degrees, shift: one };
        const second = { scale, degrees, shift: other };
        const found = sewn(first, second);
        expect(found.off).toBeLessThanOrEqual((Math.hypot(30, 20) / 2) * scale + 1e-6);
        expect(found.left).toBeLessThan(1e-6);
        expect(sewn(first, { ...second, shift: found.shift }).off).toBeLessThan(1e-6);
      }),
    );
  });

  it('finds the nearest of all that a leaning lattice makes, as a search finds it', () => {
    const lattice: readonly [Place, Place] = [
      { x: 30, y: 0 },
      { x: 14, y: 22 },
    ];
    fc.assert(
      fc.property(fc.integer({ min: -400, max: 400 }), fc.integer({ min: -400, max: 400 }), (x, y) => {
        const { off } = sewn(STRAIGHT, { ...STRAIGHT, shift: { x, y } }, lattice);
        let least = Infinity;
        for (let a = -40; a <= 40; a += 1) {
          for (let b = -40; b <= 40; b += 1) {
            // The second part's cloth begins x, y from its corner, which lies 100 from the first's.
            least = Math.min(least, Math.hypot(100 + x - a * 30 - b * 14, y - b * 22));
          }
        }
        expect(off).toBeCloseTo(least, 6);
      }),
      { numRuns: 60 },
    );
  });

  it('of parts at different angles is matched at one place only, and says how far it is off at best', () => {
    const { off, left } = sewn(STRAIGHT, { ...STRAIGHT, degrees: 20 });
    expect(off).toBeGreaterThan(1);
    expect(left).toBeGreaterThan(1);
  });

  it('of parts that go round a form alike is matched all along', () => {
    const bends = [{ kind: 'form' as const, across: 0, up: 60 }];
    const left = { part: part('left', { x: 0, y: 0 }), bends, place: STRAIGHT };
    const right = { part: part('right', { x: 100, y: 0 }), bends, place: STRAIGHT };
    expect(seamFit(SEAM, left, right, LATTICE).left).toBeLessThan(1e-9);
    expect(seamFit(SEAM, left, { ...right, bends: [] }, LATTICE).left).toBeGreaterThan(1);
  });
});

describe('a place on cloth', () => {
  it('and back on its part is the place again', () => {
    const place: ClothPlace = { scale: 0.3, degrees: 35, shift: { x: 12, y: -7 } };
    const there = onCloth({ x: 81, y: 44 }, place);
    const back = onPart(there, place);
    expect(back.x).toBeCloseTo(81, 9);
    expect(back.y).toBeCloseTo(44, 9);
  });
});
