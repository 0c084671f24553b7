import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { rational } from '../exact/rational.ts';
import { surd } from '../exact/surd.ts';
import { gridOf, SUBPIXELS } from './grid.ts';
import { outlineOf } from './outline-of.ts';
import { areaOfPlaces } from './places.ts';
import type { Cut, Stroke } from './shape.ts';

/** One repeat, 10 mm square, in 100 pixels. */
const GRID = gridOf({ width: 100, height: 100 }, { x: 10, y: 10 });

/** Square millimetres of a square subpixel. */
const ONE = (10 / (100 * SUBPIXELS)) ** 2;

const point = (x: number, y: number) => ({ x: surd(rational(x, 10)), y: surd(rational(y, 10)) });
const SQUARE = [point(1, 1), point(9, 1), point(9, 9), point(1, 9)];

function areaOf(shape: Cut | Stroke): number {
  // Outlines have y downward, so what is filled runs clockwise as it is counted here.
  return outlineOf(shape, GRID).polygons.reduce((sum, polygon) => sum - areaOfPlaces(polygon) * ONE, 0);
}

describe('the outline of what is left between insets', () => {
  const cut = (by: number, corner: number): Cut => ({
    kind: 'cut',
    from: 'all',
    parts: [{ corners: SQUARE, by: rational(by, 100), corner: rational(corner, 100) }],
  });

  it('has holes as large as the insets: a square less its distance, its corners quarter circles', () => {
    const whole = fc.integer({ min: 0, max: 150 });
    fc.assert(
      fc.property(whole, whole, (by, corner) => {
        const side = 8 - (2 * by) / 100;
        const rounded = (4 - Math.PI) * (corner / 100) ** 2;
        expect(areaOf(cut(by, corner))).toBeCloseTo(side ** 2 - rounded, 1);
      }),
    );
    expect(outlineOf(cut(50, 0), GRID).holes).toBe(true);
  });

  it('is in whole subpixels', () => {
    for (const { x, y } of outlineOf(cut(33, 77), GRID).polygons.flat()) {
      expect([Number.isInteger(x), Number.isInteger(y)]).toEqual([true, true]);
    }
  });

  it('has no hole where nothing is left of a part', () => {
    expect(outlineOf(cut(400, 0), GRID).polygons).toEqual([]);
  });
});

describe('the outline of a stroke', () => {
  it('is as large as its length times its width, once where it comes in again', () => {
    const across: Stroke = {
      kind: 'stroke',
      paths: [{ points: [point(5, 5), point(12, 5)], closed: false }],
      width: rational(1),
      ends: 'flat',
    };
    expect(areaOf(across)).toBeCloseTo(7, 2);
    expect(areaOf({ ...across, paths: [...across.paths, ...across.paths] })).toBeCloseTo(7, 2);
  });
});
