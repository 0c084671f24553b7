import { Clipper64, ClipType, type EndType, FillRule, inflatePaths, type Paths64 } from 'clipper2-ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { rational } from '../exact/rational.ts';
import { surd } from '../exact/surd.ts';
import { boxesApart } from './boxes-apart.ts';
import { convexTouch } from './convex-touch.ts';
import { gridOf } from './grid.ts';
import { ENDS, JOINS, SHARPEST } from './line-joins.ts';
import { onceAGrid } from './once-a-grid.ts';
import { areaOfPlaces, type Place } from './places.ts';
import { straightLine } from './straight-line.ts';
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

type Polygons = readonly (readonly Place[])[];

/** What lies in one of two sets of polygons only. */
function between(ours: Polygons, theirs: Polygons): Paths64 {
  const differing: Paths64 = [];
  const clip = new Clipper64();
  clip.addSubject(ours.map((polygon) => [...polygon]));
  clip.addClip(theirs.map((polygon) => [...polygon]));
  clip.execute(ClipType.Xor, FillRule.NonZero, differing);
  return differing;
}

function areaOf(polygons: Polygons): number {
  return polygons.reduce((sum, polygon) => sum + areaOfPlaces(polygon), 0);
}

function lengthOf(polygons: Polygons): number {
  return polygons
    .flatMap((polygon) =>
      polygon.map(({ x, y }, at) => Math.hypot(x - polygon.at(at - 1)!.x, y - polygon.at(at - 1)!.y)),
    )
    .reduce((sum, length) => sum + length, 0);
}

const ENDINGS = ['flat', 'round'] as const;

describe('the outline of a straight line', () => {
  it.each(ENDINGS)('%s at its ends, is that of the polygon library, walked the other way', (ends) => {
    const somewhere = fc.record({
      x: fc.integer({ min: -9999, max: 9999 }),
      y: fc.integer({ min: -9999, max: 9999 }),
    });
    fc.assert(
      fc.property(somewhere, somewhere, fc.double({ min: 4, max: 900, noNaN: true }), (from, to, half) => {
        fc.pre(Math.hypot(to.x - from.x, to.y - from.y) >= 4);
        const ours = [straightLine(from, to, { half, ends, sagitta: 16 })!];
        const theirs = inflatePaths([[from, to]], half, JOINS[ends], ENDS[ends] as EndType, SHARPEST, 16);
        expect(between(ours, theirs)).toEqual([]);
        expect(areaOf(ours)).toBe(-areaOf(theirs));
      }),
      { numRuns: 400 },
    );
  });

  it('is left to the library where it is drawn out, or where roundings may fold it', () => {
    const line = (length: number, half: number, ends: 'flat' | 'sharp') =>
      straightLine({ x: 0, y: 0 }, { x: length, y: 0 }, { half, ends, sagitta: 16 });
    expect(line(100, 20, 'sharp')).toBeUndefined();
    expect(line(100, 3, 'flat')).toBeUndefined();
    expect(line(3, 20, 'flat')).toBeUndefined();
    expect(line(100, 20, 'flat')).toHaveLength(4);
  });
});

describe('the outlines of many straight lines', () => {
  it.each(ENDINGS)('%s at their ends, are those of the library joining all, within a subpixel', (ends) => {
    let alone = 0;
    fc.assert(
      fc.property(someLines, fc.constantFrom(1, 2, 3), (lines, width) => {
        const paths = lines.map((line) => ({
          closed: false,
          points: line.map(([x, y]) => ({ x: surd(rational(x, 400)), y: surd(rational(y, 400)) })),
        }));
        const ours = strokeOutline({ kind: 'stroke', paths, width: rational(width), ends }, grid);
        const theirs = byLibrary(lines, width * 128, ends);
        // Where lines cross, the library rounds otherwise when it is given fewer of them.
        const off = between(ours, theirs).reduce((sum, polygon) => sum + Math.abs(areaOfPlaces(polygon)), 0);
        expect(off).toBeLessThanOrEqual(lengthOf(ours));
        if (ours.length > 1) alone += 1;
      }),
      { numRuns: 150 },
    );
    expect(alone).toBeGreaterThan(40);
  });
});

describe('convex polygons', () => {
  const square = (x: number, y: number, side: number) => [
    { x, y },
    { x: x + side, y },
    { x: x + side, y: y + side },
    { x, y: y + side },
  ];
  it.each([
    ['far apart', square(0, 0, 4), square(9, 9, 4), false],
    ['side by side', square(0, 0, 4), square(4, 1, 4), true],
    ['one within the other', square(0, 0, 9), square(3, 3, 2), true],
    [
      'of which the boxes alone touch',
      [
        { x: 0, y: 0 },
        { x: 9, y: 0 },
        { x: 0, y: 9 },
      ],
      square(7, 7, 3),
      false,
    ],
  ] as const)('%s', (_, one, other, touch) => {
    expect(convexTouch(one, other)).toBe(touch);
    expect(convexTouch([...other].reverse(), one)).toBe(touch);
  });
});

describe('a shape on a grid', () => {
  it('is resolved once, and again only when its size changes', () => {
    let times = 0;
    const resolve = onceAGrid((shape: { readonly side: number }, { width }) => {
      times += 1;
      return shape.side * width;
    });
    const shape = { side: 2 };
    const other = gridOf({ width: SIDE + 1, height: SIDE }, { x: SIDE, y: SIDE });
    expect([resolve(shape, grid), resolve(shape, { ...grid })]).toEqual([20_480, 20_480]);
    expect(times).toBe(1);
    expect(resolve(shape, other)).toBe(2 * 41 * 256);
    expect(resolve({ side: 2 }, other)).toBe(2 * 41 * 256);
    expect(times).toBe(3);
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
