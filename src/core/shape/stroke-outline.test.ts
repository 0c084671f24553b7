import { Clipper64, ClipType, type EndType, FillRule, inflatePaths, type Paths64 } from 'clipper2-ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { rational } from '../exact/rational.ts';
import { surd } from '../exact/surd.ts';
import { boxesApart } from './boxes-apart.ts';
import { gridOf } from './grid.ts';
import { ENDS, JOINS, SHARPEST } from './line-joins.ts';
import { areaOfPlaces } from './places.ts';
import { strokeOutline } from './stroke-outline.ts';

const SIDE = 40;
const grid = gridOf({ width: SIDE, height: SIDE }, { x: SIDE, y: SIDE });
const place = fc.tuple(fc.integer({ min: 0, max: 400 }), fc.integer({ min: 0, max: 400 }));
const someLines = fc.array(fc.tuple(place, place), { minLength: 1, maxLength: 14 });

/** All lines widened and joined by the library, within the repeat. */
function byLibrary(
  lines: readonly (readonly (readonly [number, number])[])[],
  half: number,
  ends: 'flat' | 'round',
) {
  const side = SIDE * 256;
  const paths = lines.flatMap((line) =>
    [-side, 0, side].flatMap((right) =>
      [-side, 0, side].map((down) =>
        line.map(([x, y]) => ({
          x: Math.round((x / 400) * side) + right,
          y: side - Math.round((y / 400) * side) + down,
        })),
      ),
    ),
  );
  const clip = new Clipper64();
  clip.addSubject(inflatePaths(paths, half, JOINS[ends], ENDS[ends] as EndType, SHARPEST, 16));
  clip.addClip([
    [
      { x: 0, y: 0 },
      { x: side, y: 0 },
      { x: side, y: side },
      { x: 0, y: side },
    ],
  ]);
  const result: Paths64 = [];
  clip.execute(ClipType.Intersection, FillRule.NonZero, result);
  return result;
}

describe('the outlines of straight lines', () => {
  it.each(['flat', 'round'] as const)('%s at their ends, are those of the polygon library', (ends) => {
    let alone = 0;
    fc.assert(
      fc.property(someLines, fc.constantFrom(1, 2, 3), (lines, width) => {
        const paths = lines.map((line) => ({
          closed: false,
          points: line.map(([x, y]) => ({ x: surd(rational(x, 400)), y: surd(rational(y, 400)) })),
        }));
        const ours = strokeOutline({ kind: 'stroke', paths, width: rational(width), ends }, grid);
        const theirs = byLibrary(lines, width * 128, ends);
        const differing: Paths64 = [];
        const clip = new Clipper64();
        clip.addSubject(ours.map((polygon) => [...polygon]));
        clip.addClip(theirs);
        clip.execute(ClipType.Xor, FillRule.NonZero, differing);
        expect(differing).toEqual([]);
        // Walked as faces are, so that what lies inside is on one side of all.
        const sum = (of: readonly (readonly { x: number; y: number }[])[]) =>
          of.reduce((total, polygon) => total + areaOfPlaces(polygon), 0);
        // Where lines cross, the library rounds otherwise when it is given fewer of them.
        expect(sum(ours) / -sum(theirs)).toBeCloseTo(1, 3);
        if (ours.length > 1) alone += 1;
      }),
      { numRuns: 150 },
    );
    expect(alone).toBeGreaterThan(40);
  });
});

describe('boxes apart', () => {
  it('touch no other, as comparing all with all tells', () => {
    const box = fc.tuple(
      fc.nat(100),
      fc.nat(100),
      fc.integer({ min: 1, max: 12 }),
      fc.integer({ min: 1, max: 12 }),
    );
    fc.assert(
      fc.property(fc.array(box, { maxLength: 40 }), (some) => {
        const boxes = Float64Array.from(
          some.flatMap(([x, y, width, height]) => [x, y, x + width, y + height]),
        );
        const expected = some.map(([x, y, width, height], one) =>
          some.every(
            ([left, top, across, down], other) =>
              one === other || left > x + width || x > left + across || top > y + height || y > top + down,
          )
            ? 1
            : 0,
        );
        expect([...boxesApart(boxes, { width: 100, height: 100 })]).toEqual(expected);
      }),
    );
  });
});
