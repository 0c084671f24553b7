import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { direction, type Point } from '../exact/plane.ts';
import { surd } from '../exact/surd.ts';
import { copiesIn } from '../shape/copies.ts';
import { insetPolygon, roundedInset } from '../shape/inset.ts';
import { areaOfPlaces, type Place } from '../shape/places.ts';
import { ARCHIMEDEAN } from '../tiling/forms/archimedean.ts';
import { buildTiling } from '../tiling/tiling-form.ts';
import { fadeAcross } from './fades.ts';

const ONE = { x: 1, y: 1 };

/** A regular hexagon round the origin, corners 1 away. */
const HEXAGON: readonly Point[] = [0, 4, 8, 12, 16, 20].map(direction);

describe('a face taken in', () => {
  it.each([0, 0.1, 0.4, 0.8])('by %d keeps its shape, smaller by that on every side', (by) => {
    const left = insetPolygon(HEXAGON, ONE, by);
    expect(left).toHaveLength(6);
    // Across its flats a hexagon is √3; its area is √3/2 of that squared.
    const flats = Math.sqrt(3) - 2 * by;
    expect(areaOfPlaces(left)).toBeCloseTo((Math.sqrt(3) / 2) * flats ** 2, 9);
  });

  it.each([Math.sqrt(3) / 2, 1, 50])('by %d leaves nothing', (by) => {
    expect(insetPolygon(HEXAGON, ONE, by)).toEqual([]);
  });

  it('loses short sides before it is gone', () => {
    const rectangle = [
      [0, 0],
      [10, 0],
      [10, 4],
      [9, 5],
      [0, 5],
    ].map(([x, y]) => ({ x: surd(x!), y: surd(y!) }));
    expect(insetPolygon(rectangle, ONE, 0.1)).toHaveLength(5);
    expect(insetPolygon(rectangle, ONE, 2)).toHaveLength(4);
  });

  it('never grows, for any face of any tiling', () => {
    const faces = Object.values(ARCHIMEDEAN).flatMap((form) => buildTiling(form).faces);
    fc.assert(
      fc.property(fc.constantFrom(...faces), fc.double({ min: 0, max: 2, noNaN: true }), (face, by) => {
        const [whole, left] = [
          areaOfPlaces(insetPolygon(face, ONE, 0)),
          areaOfPlaces(insetPolygon(face, ONE, by)),
        ];
        expect(left).toBeLessThanOrEqual(whole + 1e-9);
        expect(left).toBeGreaterThanOrEqual(0);
      }),
    );
  });

  it('has corners rounded by no more than there is room for', () => {
    const far = roundedInset(HEXAGON, ONE, 0.1, 100);
    // All that is left is a circle in the middle.
    expect(far.radius).toBeCloseTo(Math.sqrt(3) / 2 - 0.1, 5);
    for (const { x, y } of far.middles) expect(Math.hypot(x, y)).toBeLessThan(1e-4);
    expect(roundedInset(HEXAGON, ONE, 0.1, 0.2).radius).toBe(0.2);
    expect(roundedInset(HEXAGON, ONE, 3, 1).middles).toEqual([]);
  });
});

describe('copies that come into the repeat', () => {
  const box = (x: number, y: number, size: number): readonly Place[] => [
    { x, y },
    { x: x + size, y: y + size },
  ];

  it.each([
    ['inside', box(2, 2, 3), 0, 1],
    ['over one edge', box(8, 2, 4), 0, 2],
    ['over a corner', box(8, 8, 4), 0, 4],
    ['repeats away', box(32, -48, 3), 0, 1],
    ['near an edge, with a reach over it', box(2, 3.5, 3), 3, 2],
    ['larger than the repeat', box(-1, 2, 20.5), 0, 9],
  ])('%s', (_, places, reach, count) => {
    expect(copiesIn(places, { x: 10, y: 10 }, reach)).toHaveLength(count);
  });

  it('are none of nothing', () => {
    expect(copiesIn([], { x: 10, y: 10 }, 5)).toEqual([]);
  });
});

describe('a fade across a face', () => {
  it('goes from the first line that touches it to the last', () => {
    const { from, to } = fadeAcross(HEXAGON, { angle: 0, turned: false }, ONE);
    expect([from.x, to.x]).toEqual([expect.closeTo(-1, 9), expect.closeTo(1, 9)]);
    const upward = fadeAcross(HEXAGON, { angle: 6, turned: false }, ONE);
    expect(upward.to.y - upward.from.y).toBeCloseTo(Math.sqrt(3), 9);
  });

  it('lies as the face lies, when it turns with it', () => {
    const square = [0, 6, 12, 18].map(direction);
    const turned = fadeAcross(square, { angle: 0, turned: true }, ONE);
    // The first side goes from (1, 0) to (0, 1).
    expect(turned.to.x - turned.from.x).toBeCloseTo(-(turned.to.y - turned.from.y), 9);
  });

  it('is in repeats, whatever those measure', () => {
    const wide = fadeAcross(HEXAGON, { angle: 0, turned: false }, { x: 4, y: 2 });
    expect(wide.to.x - wide.from.x).toBeCloseTo(2, 9);
  });
});
