import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  ellipse,
  hullOf,
  type Motion,
  mirrorIn,
  moveContour,
  movePlace,
  polyline,
  shiftBy,
  thenMotion,
  turnAbout,
} from './contour.ts';
import { dashesAlong } from './dashes.ts';
import { type Figure, moveFigure } from './figure.ts';
import { type LinePoint, lineThrough } from './line-figures.ts';
import { areaOfPlaces, type Place } from './places.ts';
import { resolveEndless, resolveFigure } from './resolve-figure.ts';
import { capsule, disc, ellipseFigure, polygonFigure, rectangle, ring, sector } from './round-figures.ts';
import { onArc } from './sink.ts';
import { polygonRadius, regularPolygon, starByRadii, starByStep } from './star-figures.ts';

/** Subpixels of a millimetre. */
const FINE = 40_000;
const SIDE = 40;
const GRID = {
  width: SIDE * FINE,
  height: SIDE * FINE,
  pitch: { x: SIDE, y: SIDE },
  scale: { x: FINE, y: FINE },
};

/** Square millimetres that a figure covers. */
function areaOf(figure: Figure): number {
  return areaOfPolygons(resolveFigure(figure, GRID));
}

function areaOfPolygons(polygons: readonly (readonly Place[])[]): number {
  // With y downward, what is covered runs clockwise as it is counted here.
  return polygons.reduce((sum, polygon) => sum - areaOfPlaces(polygon), 0) / FINE ** 2;
}

const point = (x: number, y: number, bend: LinePoint['bend'] = 'corner', radius = 0): LinePoint => ({
  x,
  y,
  bend,
  radius,
});

const somePlace = fc.record({
  x: fc.double({ min: -50, max: 50, noNaN: true }),
  y: fc.double({ min: -50, max: 50, noNaN: true }),
});
const someMotion: fc.Arbitrary<Motion> = fc.oneof(
  somePlace.map(({ x, y }) => shiftBy(x, y)),
  fc.tuple(somePlace, fc.integer({ min: -720, max: 720 })).map(([at, degrees]) => turnAbout(at, degrees)),
  fc.tuple(somePlace, fc.integer({ min: -720, max: 720 })).map(([at, degrees]) => mirrorIn(at, degrees)),
);

describe('motions', () => {
  it('follow each other as their product says', () => {
    fc.assert(
      fc.property(someMotion, someMotion, somePlace, (first, second, place) => {
        const there = movePlace(movePlace(place, first), second);
        const product = movePlace(place, thenMotion(first, second));
        expect(product.x).toBeCloseTo(there.x, 6);
        expect(product.y).toBeCloseTo(there.y, 6);
      }),
    );
  });

  it('turn about a place that stays, mirror in a line that stays, and mirrored twice are none', () => {
    fc.assert(
      fc.property(somePlace, somePlace, fc.integer({ min: 0, max: 360 }), (at, place, degrees) => {
        const turned = movePlace(at, turnAbout(at, degrees));
        expect(turned.x).toBeCloseTo(at.x, 9);
        expect(turned.y).toBeCloseTo(at.y, 9);
        const mirror = mirrorIn(at, degrees);
        const back = movePlace(movePlace(place, mirror), mirror);
        expect(back.x).toBeCloseTo(place.x, 6);
        expect(back.y).toBeCloseTo(place.y, 6);
      }),
    );
  });

  it('by quarters are exact', () => {
    expect(movePlace({ x: 3, y: 5 }, turnAbout({ x: 1, y: 1 }, 90))).toEqual({ x: -3, y: 3 });
    expect(movePlace({ x: 3, y: 5 }, mirrorIn({ x: 1, y: 0 }, 90))).toEqual({ x: -1, y: 5 });
  });

  it('keep the area of every figure', () => {
    const figures: readonly Figure[] = [
      rectangle({ width: 7, height: 4, radii: [1, 0, 2, 0.5] }),
      ring({ across: 8, band: 1 }),
      sector({ across: 9, inner: 3, from: 20, to: 250 }),
      { kind: 'grown', of: starByRadii({ points: 5, outer: 4, inner: 2 }), by: 0.5, corner: 'round' },
    ];
    fc.assert(
      fc.property(fc.constantFrom(...figures), someMotion, (figure, motion) => {
        expect(areaOf(moveFigure(figure, motion))).toBeCloseTo(areaOf(figure), 1);
      }),
      { numRuns: 40 },
    );
  });
});

describe('contours', () => {
  it('lie within their hulls, arcs to the quarter', () => {
    const figure = sector({ across: 10, inner: 0, from: 30, to: 200 });
    const hull = figure.kind === 'outline' ? figure.contours.flatMap(hullOf) : [];
    expect(Math.max(...hull.map(({ y }) => y))).toBeCloseTo(5, 9);
    expect(Math.min(...hull.map(({ x }) => x))).toBeCloseTo(-5, 9);
    expect(Math.max(...hull.map(({ x }) => x))).toBeCloseTo(5 * Math.cos(Math.PI / 6), 9);
  });

  it('keep arcs as arcs wherever they are moved', () => {
    const moved = moveContour(ellipse({ x: 0, y: 0 }, 4, 2), turnAbout({ x: 1, y: 2 }, 33));
    const [segment] = moved.segments;
    if (segment?.kind !== 'arc') throw new Error(`expected an arc, got ${segment?.kind}`);
    expect(Math.hypot(segment.arc.across.x, segment.arc.across.y)).toBeCloseTo(4, 9);
    const end = onArc(segment.arc, segment.arc.to);
    expect(end.x).toBeCloseTo(moved.start.x, 9);
    expect(end.y).toBeCloseTo(moved.start.y, 9);
  });
});

describe('shapes', () => {
  it.each<[string, Figure, number]>([
    ['a rectangle', rectangle({ width: 6, height: 4, radii: [0, 0, 0, 0] }), 24],
    // Each rounded corner leaves (1 − π/4) r².
    [
      'a rectangle with four radii',
      rectangle({ width: 6, height: 4, radii: [1, 2, 0, 0.5] }),
      24 - (1 - Math.PI / 4) * (1 + 4 + 0.25),
    ],
    ['a disc', disc(6), 9 * Math.PI],
    ['an ellipse', ellipseFigure({ width: 8, height: 3 }), 6 * Math.PI],
    ['a ring', ring({ across: 8, band: 1 }), (16 - 9) * Math.PI],
    ['a sector', sector({ across: 8, inner: 0, from: 10, to: 100 }), 4 * Math.PI],
    ['an arc band', sector({ across: 8, inner: 4, from: -30, to: 90 }), (16 - 4) * (Math.PI / 3)],
    ['all round, a disc', sector({ across: 8, inner: 0, from: 0, to: 360 }), 16 * Math.PI],
    ['a bar with round ends', capsule({ length: 7, width: 2 }), 5 * 2 + Math.PI],
    ['a bar as wide as long', capsule({ length: 3, width: 3 }), 2.25 * Math.PI],
  ])('%s has its area', (_, figure, expected) => {
    expect(areaOf(figure)).toBeCloseTo(expected, 2);
  });

  it.each([
    [() => rectangle({ width: 4, height: 2, radii: [1.5, 1.5, 0, 0] }), undefined],
    [() => rectangle({ width: 4, height: 2, radii: [0, 1.5, 1, 0] }), 'figure/radius'],
    [() => ring({ across: 4, band: 2 }), 'figure/band'],
    [() => sector({ across: 4, inner: 4, from: 0, to: 90 }), 'figure/inner'],
    [() => sector({ across: 4, inner: 0, from: 90, to: 90 }), 'figure/sector'],
    [() => sector({ across: 4, inner: 0, from: 0, to: 400 }), 'figure/sector'],
    [() => capsule({ length: 2, width: 3 }), 'figure/capsule'],
    [() => starByRadii({ points: 5, outer: 2, inner: 2 }), 'figure/inner'],
    [() => starByStep({ points: 6, skip: 3, radius: 2 }), 'figure/star'],
  ])('refuse what cannot be, %#', (build, code) => {
    if (code === undefined) expect(build).not.toThrow();
    else expect(build).toThrow(code);
  });

  it('of a star n/k is where the sides between corners cross', () => {
    // A pentagram: its inner corners lie at radius × (√5 − 1)/(√5 + 1) = radius / φ².
    const golden = (1 + Math.sqrt(5)) / 2;
    const same = starByRadii({ points: 5, outer: 3, inner: 3 / golden ** 2 });
    expect(areaOf(starByStep({ points: 5, skip: 2, radius: 3 }))).toBeCloseTo(areaOf(same), 3);
  });

  it.each([3, 4, 5, 6, 9, 24])('of %i sides are as large by radius, by side and across flats', (sides) => {
    const side = 2 * 3 * Math.sin(Math.PI / sides);
    const flats = sides % 2 === 0 ? 6 * Math.cos(Math.PI / sides) : 3 * (1 + Math.cos(Math.PI / sides));
    expect(polygonRadius(sides, 'side', side)).toBeCloseTo(3, 9);
    expect(polygonRadius(sides, 'flats', flats)).toBeCloseTo(3, 9);
    const expected = (sides / 2) * 9 * Math.sin((2 * Math.PI) / sides);
    expect(areaOf(regularPolygon(sides, polygonRadius(sides, 'radius', 3)))).toBeCloseTo(expected, 3);
  });
});

describe('lines through points', () => {
  it('go through every point of a curve, with no corner there', () => {
    const places = [point(0, 0, 'curve'), point(2, 3, 'curve'), point(5, 1, 'curve'), point(9, 4, 'curve')];
    const { start, segments } = lineThrough(places, 'open');
    expect(start).toMatchObject({ x: 0, y: 0 });
    const curves = segments.map((segment) => {
      if (segment.kind !== 'curve') throw new Error('expected a curve');
      return segment.curve;
    });
    expect(curves.map(({ to }) => [to.x, to.y])).toEqual([
      [2, 3],
      [5, 1],
      [9, 4],
    ]);
    for (const [at, curve] of curves.slice(0, -1).entries()) {
      const next = curves[at + 1]!;
      const arriving = Math.atan2(curve.to.y - curve.arrive.y, curve.to.x - curve.arrive.x);
      const leaving = Math.atan2(next.leave.y - curve.to.y, next.leave.x - curve.to.x);
      expect(leaving).toBeCloseTo(arriving, 9);
    }
  });

  it('that go on leave the box at the slope at which they come in', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: -4, max: 4 }), { minLength: 1, maxLength: 6 }), (heights) => {
        const width = heights.length + 1;
        const places = [0, ...heights, 0].map((y, at) => point(at, y, 'curve'));
        const { segments } = lineThrough(places, 'onward');
        const curves = segments.map((segment) => (segment.kind === 'curve' ? segment.curve : undefined)!);
        const first = { x: curves[0]!.leave.x, y: curves[0]!.leave.y };
        const last = curves.at(-1)!;
        const cross = first.x * (0 - last.arrive.y) - first.y * (width - last.arrive.x);
        expect(cross).toBeCloseTo(0, 9);
      }),
    );
  });

  it('have corners rounded by their radius, as far as their sides allow', () => {
    const square = [point(0, 0), point(6, 0, 'corner', 2), point(6, 6, 'corner', 1), point(0, 6)];
    const figure: Figure = { kind: 'outline', contours: [lineThrough(square, 'closed')] };
    expect(areaOf(figure)).toBeCloseTo(36 - (1 - Math.PI / 4) * (4 + 1), 2);
    const tight = [point(0, 0), point(6, 0, 'corner', 4), point(6, 6), point(0, 6)];
    expect(() => lineThrough(tight, 'closed')).toThrow('figure/bend');
  });

  it.each([
    [[point(0, 0)], 'open', 'figure/points'],
    [[point(0, 0), point(1, 1)], 'closed', 'figure/points'],
    [[point(0, 0), point(0, 0), point(1, 1)], 'open', 'figure/same-point'],
    [[point(0, 0), point(2, 0), point(0, 0)], 'closed', 'figure/same-point'],
  ] as const)('need points that differ, %#', (points, run, code) => {
    expect(() => lineThrough(points, run)).toThrow(code);
  });
});

describe('what is made of figures', () => {
  const square = rectangle({ width: 6, height: 6, radii: [0, 0, 0, 0] });
  const beside = moveFigure(square, shiftBy(3, 0));

  it.each<[string, Figure, number]>([
    ['joined', { kind: 'join', parts: [square, beside] }, 54],
    ['cut away', { kind: 'cut', parts: [square, beside] }, 18],
    ['kept where both are', { kind: 'overlap', parts: [square, beside] }, 18],
    ['cut until nothing is left', { kind: 'cut', parts: [square, square] }, 0],
    ['grown sharp', { kind: 'grown', of: square, by: 1, corner: 'sharp' }, 64],
    ['shrunk', { kind: 'grown', of: square, by: -1, corner: 'sharp' }, 16],
    ['rounded', { kind: 'rounded', of: square, radius: 2 }, 36 - (4 - Math.PI) * 4],
    ['edged', { kind: 'edge', of: square, width: 1, ends: 'sharp', dashes: null }, 49 - 25],
  ])('%s covers what it should', (_, figure, expected) => {
    expect(areaOf(figure)).toBeCloseTo(expected, 1);
  });

  it('rounds inner corners too', () => {
    const cross: Figure = {
      kind: 'join',
      parts: [
        rectangle({ width: 9, height: 3, radii: [0, 0, 0, 0] }),
        rectangle({ width: 3, height: 9, radii: [0, 0, 0, 0] }),
      ],
    };
    // Eight outer corners lose what four inner ones gain, twice over.
    const corner = (1 - Math.PI / 4) * 0.25;
    expect(areaOf({ kind: 'rounded', of: cross, radius: 0.5 })).toBeCloseTo(45 - 8 * corner + 4 * corner, 1);
  });

  it('a line that goes on covers the torus as if it had no ends', () => {
    const contour = lineThrough([point(0, 0), point(SIDE / 2, 6), point(SIDE, 0)], 'onward', 1);
    const line: Figure = { kind: 'line', contour, width: 2, ends: 'sharp', capped: false, dashes: null };
    // A band of that slope, its width measured upright: width / cos of its angle, over the whole repeat.
    const upright = 2 * Math.hypot(1, 12 / SIDE);
    expect(areaOfPolygons(resolveEndless(line, GRID))).toBeCloseTo(upright * SIDE, 0);
  });

  it('a whole polygon is what its places say', () => {
    const places = [
      { x: 0, y: 0 },
      { x: 5, y: 0 },
      { x: 0, y: 4 },
    ];
    expect(areaOf(polygonFigure(places))).toBeCloseTo(10, 6);
  });
});

describe('dashes', () => {
  const line = polyline(
    [
      { x: 0, y: 0 },
      { x: 1000, y: 0 },
      { x: 1000, y: 700 },
    ],
    false,
  );
  const places = [line.start, ...line.segments.map((each) => (each.kind === 'line' ? each.to : line.start))];
  const lengthOf = (piece: readonly Place[]) =>
    piece.slice(1).reduce((sum, { x, y }, at) => sum + Math.hypot(x - piece[at]!.x, y - piece[at]!.y), 0);

  it('go a whole number of times, from end to end of a line that stops', () => {
    const dashes = dashesAlong(places, false, { length: 90, gap: 60, endless: false }, 1);
    expect(dashes[0]![0]).toEqual(places[0]);
    expect(dashes.at(-1)!.at(-1)).toEqual(places.at(-1));
    for (const dash of dashes) expect(lengthOf(dash)).toBeCloseTo(lengthOf(dashes[0]!), -1);
  });

  it('leave a gap after the last one where the line goes on', () => {
    const dashes = dashesAlong(places, false, { length: 90, gap: 80, endless: true }, 1);
    expect(dashes).toHaveLength(10);
    const covered = dashes.reduce((sum, dash) => sum + lengthOf(dash), 0);
    expect(covered / 1700).toBeCloseTo(90 / 170, 2);
  });
});

describe('a line that is rounded to few places', () => {
  const COARSE = { width: 40, height: 40, pitch: { x: 40, y: 40 }, scale: { x: 1, y: 1 } };
  const strip = (places: readonly Place[], ends: 'sharp' | 'round', capped: boolean): Figure => ({
    kind: 'line',
    contour: polyline(places, false),
    width: 4,
    ends,
    capped,
    dashes: null,
  });

  it('shows all of itself where it comes back to its start', () => {
    const there = strip(
      [
        { x: 10, y: 10 },
        { x: 20, y: 10 },
      ],
      'sharp',
      false,
    );
    const back = strip(
      [
        { x: 10, y: 10 },
        { x: 20, y: 10 },
        { x: 10, y: 10 },
      ],
      'sharp',
      false,
    );
    expect(areaOf(there)).toBeCloseTo(40, 6);
    // The corner where it turns back has a tip.
    expect(areaOf(back)).toBeGreaterThanOrEqual(40);
    expect(areaOf(back)).toBeLessThan(60);
  });

  it('shows nothing where it is a point that is cut off, and a disc where its ends are round', () => {
    const places = [
      { x: 10.1, y: 10.1 },
      { x: 10.2, y: 10.2 },
      { x: 10.3, y: 10 },
    ];
    expect(resolveFigure(strip(places, 'sharp', false), COARSE)).toEqual([]);
    expect(resolveFigure(strip(places, 'sharp', true), COARSE).length).toBe(1);
    expect(resolveFigure(strip(places, 'round', true), COARSE).length).toBe(1);
  });
});
