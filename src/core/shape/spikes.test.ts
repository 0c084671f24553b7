import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { polyline } from './contour.ts';
import { areaOfPlaces, type Place } from './places.ts';
import { resolveFigure } from './resolve-figure.ts';
import { withoutSpikes } from './spikes.ts';

const places = (...corners: readonly (readonly [number, number])[]) => corners.map(([x, y]) => ({ x, y }));

describe('polygons without spikes', () => {
  it.each([
    ['as they are', places([0, 0], [4, 0], [4, 3]), places([0, 0], [4, 0], [4, 3])],
    [
      'with corners on a straight line',
      places([0, 0], [2, 0], [4, 0], [4, 3]),
      places([0, 0], [2, 0], [4, 0], [4, 3]),
    ],
    ['out and back', places([0, 0], [4, 0], [9, 0], [4, 0], [4, 3]), places([0, 0], [4, 0], [4, 3])],
    ['out further than back', places([0, 0], [9, 0], [4, 0], [4, 3]), places([0, 0], [4, 0], [4, 3])],
    [
      'over the start',
      places([2, 0], [4, 0], [4, 3], [0, 0], [-5, 0]),
      places([2, 0], [4, 0], [4, 3], [0, 0]),
    ],
    ['with a corner twice', places([0, 0], [0, 0], [4, 0], [4, 3], [0, 0]), places([0, 0], [4, 0], [4, 3])],
    [
      'of several in a row',
      places([0, 0], [4, 0], [4, 3], [4, 9], [4, 12], [4, 3]),
      places([0, 0], [4, 0], [4, 3]),
    ],
    ['that are a line', places([0, 0], [4, 0], [9, 0], [4, 0]), []],
    ['of one place', places([1, 1]), []],
  ])('%s', (_, polygon, kept) => {
    expect(withoutSpikes(polygon)).toEqual(kept);
  });

  it('have the area that they had', () => {
    fc.assert(
      fc.property(somePolygon, (polygon) => {
        const kept = withoutSpikes(polygon);
        expect(kept.length === 0 ? 0 : areaOfPlaces(kept)).toBe(areaOfPlaces(polygon));
        expect(withoutSpikes(kept)).toEqual(kept);
      }),
    );
  });
});

/** Corners of so coarse a grid that many lie on one line. */
const somePolygon: fc.Arbitrary<readonly Place[]> = fc.array(
  fc.record({ x: fc.integer({ min: 0, max: 6 }), y: fc.integer({ min: 0, max: 2 }) }),
  { minLength: 3, maxLength: 12 },
);

describe('outlines with spikes', () => {
  const GRID = { width: 100, height: 100, pitch: { x: 100, y: 100 }, scale: { x: 1, y: 1 } };

  it('are resolved where one lies level: the package alone would not come to an end', () => {
    const outline = polyline(places([1193, 98], [1228, 98], [1262, 98], [983, 98], [622, 97]), true);
    const resolved = resolveFigure({ kind: 'outline', contours: [outline] }, GRID);
    expect(resolved.flat()).toHaveLength(3);
  });

  it('come to an end whatever they are', () => {
    fc.assert(
      fc.property(somePolygon, (polygon) => {
        const resolved = resolveFigure({ kind: 'outline', contours: [polyline(polygon, true)] }, GRID);
        for (const { x, y } of resolved.flat()) {
          expect(x).toBeGreaterThanOrEqual(0);
          expect(x).toBeLessThanOrEqual(6);
          expect(100 - y).toBeLessThanOrEqual(2);
        }
      }),
      { numRuns: 2000 },
    );
  });
});
