import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { areaOf, type Point } from '../exact/plane.ts';
import { rational } from '../exact/rational.ts';
import {
  addSurds,
  compareSurds,
  equalSurds,
  multiplySurds,
  root,
  surd,
  surdToNumber,
  ZERO_SURD,
} from '../exact/surd.ts';
import { withSharedCorners } from './shared-corners.ts';
import { splitPolygon } from './split-polygon.ts';

const at = (x: number, y: number): Point => ({ x: surd(x), y: surd(y) });
const UPRIGHT = { x: surd(1), y: ZERO_SURD };

function areas(parts: readonly (readonly Point[])[]) {
  return parts.map((part) => surdToNumber(areaOf(part))).sort((a, b) => a - b);
}

describe('a polygon that is cut along a line', () => {
  it('comes apart into as many parts as the line leaves', () => {
    // An E with three arms to the right of 1.
    const letter = [
      at(0, 0),
      at(3, 0),
      at(3, 1),
      at(1, 1),
      at(1, 2),
      at(3, 2),
      at(3, 3),
      at(1, 3),
      at(1, 4),
      at(3, 4),
      at(3, 5),
      at(0, 5),
    ];
    const { before, beyond } = splitPolygon(letter, { normal: UPRIGHT, at: surd(2) });
    expect(areas(beyond)).toEqual([1, 1, 1]);
    expect(areas(before)).toEqual([8]);
    const spine = splitPolygon(letter, { normal: UPRIGHT, at: surd(1) });
    expect(areas(spine.beyond)).toEqual([2, 2, 2]);
    expect(areas(spine.before)).toEqual([5]);
  });

  it('is whole where it only touches the line', () => {
    const square = [at(0, 0), at(1, 0), at(1, 1), at(0, 1)];
    expect(splitPolygon(square, { normal: UPRIGHT, at: surd(1) })).toEqual({ before: [square], beyond: [] });
    expect(splitPolygon(square, { normal: UPRIGHT, at: ZERO_SURD })).toEqual({
      before: [],
      beyond: [square],
    });
  });

  it('is cut where a corner that turns in lies on the line', () => {
    // A dart whose inner corner lies on x = 1, both its sides beyond.
    const dart = [at(0, 0), at(4, -2), at(1, 0), at(4, 2)];
    const { before, beyond } = splitPolygon(dart, { normal: UPRIGHT, at: surd(1) });
    expect(areas(before)).toEqual([0.5]);
    expect(areas(beyond)).toEqual([0.75, 0.75]);
  });

  it('keeps its area, every part on its side and the way round: any star round a middle, any line', () => {
    const radius = fc.integer({ min: 1, max: 12 });
    fc.assert(
      fc.property(
        fc.array(radius, { minLength: 3, maxLength: 9 }),
        fc.integer({ min: -12, max: 12 }),
        fc.constantFrom<Point>(UPRIGHT, at(0, 1), at(1, 1), { x: surd(1), y: root(rational(1), 3) }),
        (radii, place, normal) => {
          const corners = radii.map((length, step) => {
            const angle = (2 * Math.PI * step) / radii.length;
            return at(Math.round(10 * length * Math.cos(angle)), Math.round(10 * length * Math.sin(angle)));
          });
          const line = { normal, at: surd(place) };
          const { before, beyond } = splitPolygon(corners, line);
          const sum = [...before, ...beyond].map(areaOf).reduce(addSurds, ZERO_SURD);
          expect(equalSurds(sum, areaOf(corners))).toBe(true);
          for (const part of [...before, ...beyond]) expect(surdToNumber(areaOf(part))).toBeGreaterThan(0);
          const along = (point: Point) =>
            compareSurds(
              addSurds(multiplySurds(point.x, normal.x), multiplySurds(point.y, normal.y)),
              line.at,
            );
          expect(before.flat().every((point) => along(point) <= 0)).toBe(true);
          expect(beyond.flat().every((point) => along(point) >= 0)).toBe(true);
        },
      ),
      { numRuns: 300 },
    );
  });
});

describe('corners of neighbours', () => {
  it('are corners of every side that they lie on, round the torus too', () => {
    const half = surd(rational(1, 2));
    const third = surd(rational(1, 3));
    const one = surd(1);
    const faces = [
      [at(0, 0), { x: half, y: ZERO_SURD }, { x: half, y: one }, at(0, 1)],
      [{ x: half, y: ZERO_SURD }, at(1, 0), { x: one, y: third }, { x: half, y: third }],
      [{ x: half, y: third }, { x: one, y: third }, at(1, 1), { x: half, y: one }],
    ];
    expect(withSharedCorners(faces).map(({ length }) => length)).toEqual([6, 4, 4]);
  });
});
