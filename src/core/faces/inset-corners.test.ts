import * as fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { direction, type Point, pointName, scalePoint, subtractPoints } from '../exact/plane.ts';
import { rational } from '../exact/rational.ts';
import { divideSurds, root, type Surd, surd, surdToNumber } from '../exact/surd.ts';
import { insetPolygon } from '../shape/inset.ts';
import { areaOfPlaces, placesOf } from '../shape/places.ts';
import { insetCorners, insetWays } from './inset-corners.ts';

const point = (x: number, y: number): Point => ({ x: surd(x), y: surd(y) });

/** A regular polygon with a side of 1, of 3, 4, 6 or 12 corners. */
function regular(sides: 3 | 4 | 6 | 12): readonly Point[] {
  const corners: Point[] = [point(0, 0)];
  for (let at = 1; at < sides; at += 1) {
    const last = corners.at(-1)!;
    const way = direction(((24 / sides) * (at - 1)) % 24);
    corners.push({
      x: subtractPoints(last, scalePoint(way, surd(-1))).x,
      y: subtractPoints(last, scalePoint(way, surd(-1))).y,
    });
  }
  return corners;
}

const names = (points: readonly Point[] | undefined) => points?.map(pointName);
const placed = (points: readonly Point[]) => placesOf(points, { x: 1, y: 1 });

describe('corners that are moved inward', () => {
  it('are exact for regular polygons: a triangle’s move √3 distances along its sides', () => {
    const by = surd(rational(1, 10));
    expect(names(insetCorners(regular(3), by))![0]).toBe(pointName({ x: root(rational(1, 10), 3), y: by }));
    // A square of 1 becomes one of 4/5.
    expect(names(insetCorners(regular(4), by))).toEqual(
      names([
        { x: by, y: by },
        { x: surd(rational(9, 10)), y: by },
        { x: surd(rational(9, 10)), y: surd(rational(9, 10)) },
        { x: by, y: surd(rational(9, 10)) },
      ]),
    );
  });

  it('are nothing where the face is narrower', () => {
    expect(insetCorners(regular(4), surd(rational(1, 2)))).toBeUndefined();
    expect(insetCorners(regular(4), surd(rational(499, 1000)))).toHaveLength(4);
  });

  it('come together where a side is lost', () => {
    // A square whose corner is cut by little: the cut is lost first.
    const cut = [point(0, 0), point(100, 0), point(100, 99), point(99, 100), point(0, 100)];
    const inset = insetCorners(cut, surd(10))!;
    expect(inset).toHaveLength(5);
    expect(pointName(inset[2]!)).toBe(pointName(inset[3]!));
  });

  it('stay beside each other where two sides lie on one line', () => {
    const brick = [point(0, 0), point(5, 0), point(10, 0), point(10, 5), point(0, 5)];
    expect(names(insetCorners(brick, surd(1)))).toEqual(
      names([point(1, 1), point(5, 1), point(9, 1), point(9, 4), point(1, 4)]),
    );
  });

  it('make what the inset in doubles makes, of any convex polygon', () => {
    let compared = 0;
    const anyPolygon = fc.array(fc.integer({ min: 0, max: 35 }), { minLength: 3, maxLength: 9 });
    fc.assert(
      fc.property(anyPolygon, fc.integer({ min: 1, max: 60 }), (steps, tenths) => {
        const angles = [...new Set(steps)].sort((one, other) => one - other);
        const corners = angles.map((step) =>
          point(
            Math.round(100 * Math.cos((step * Math.PI) / 18)),
            Math.round(70 * Math.sin((step * Math.PI) / 18)),
          ),
        );
        fc.pre(angles.length > 2 && areaOfPlaces(placed(corners)) > 500);
        const distance: Surd = divideSurds(surd(tenths), surd(2));
        const wanted = insetPolygon(corners, { x: 1, y: 1 }, surdToNumber(distance));
        const made = insetCorners(corners, distance);
        const area = made === undefined ? 0 : areaOfPlaces(placed(made));
        expect(Math.abs(area - areaOfPlaces(wanted))).toBeLessThan(1e-4);
        if (made !== undefined) compared += 1;
      }),
    );
    expect(compared).toBeGreaterThan(5);
  });

  it('move alike wherever a face lies', () => {
    const there = regular(6).map(({ x, y }) => ({ x: subtractPoints({ x, y }, point(7, 3)).x, y }));
    expect(names(insetWays(there, surd(rational(1, 9))))).toEqual(
      names(insetWays(regular(6), surd(rational(1, 9)))),
    );
  });
});
