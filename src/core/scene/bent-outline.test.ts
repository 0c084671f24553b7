import { describe, expect, it } from 'vitest';
import { bentBy, bentInTurn } from '../bend/bent-by.ts';
import { checkUnfolded } from '../bend/unfolded.ts';
import { ellipse, polyline } from '../shape/contour.ts';
import { areaOfPlaces, type Place } from '../shape/places.ts';
import { bentLine } from './bent-outline.ts';
import { drawPart } from './draw-part.ts';

const BOX = { width: 600, height: 400 };
const RECTANGLE = polyline(
  [
    { x: 0, y: 0 },
    { x: 600, y: 0 },
    { x: 600, y: 400 },
    { x: 0, y: 400 },
  ],
  true,
);
const AT: Place = { x: 0, y: 0 };

describe('an outline', () => {
  it('that lies flat keeps its corners, moved', () => {
    const { places } = bentLine(RECTANGLE, { bent: undefined, at: { x: 5, y: 7 }, tolerance: 0.1 });
    expect(places).toEqual([
      { x: 5, y: 7 },
      { x: 605, y: 7 },
      { x: 605, y: 407 },
      { x: 5, y: 407 },
    ]);
  });

  it('along an arc is a sector of a ring: its area is that of the rectangle', () => {
    const bent = bentBy({ kind: 'arc', degrees: 60 }, BOX);
    const { places } = bentLine(RECTANGLE, { bent, at: AT, tolerance: 0.01 });
    // The line through the middle keeps its length, so that what is gained outside is lost inside.
    expect(areaOfPlaces(places)).toBeCloseTo(600 * 400, -1);
    expect(places.length).toBeGreaterThan(40);
  });

  it('has chords that lie no further beside it than is allowed', () => {
    const bent = bentBy({ kind: 'waist', share: -0.6, at: 0.5, reach: 0.5 }, BOX);
    const { places } = bentLine(RECTANGLE, { bent, at: AT, tolerance: 0.05 });
    const out = new Float64Array(2);
    for (const [at, from] of places.entries()) {
      const to = places[(at + 1) % places.length]!;
      const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
      bent.back(middle.x, middle.y, out);
      // The middle of a chord lies on an edge of what is flat, or hardly beside it.
      const beside = Math.min(
        Math.abs(out[0]!),
        Math.abs(600 - out[0]!),
        Math.abs(out[1]!),
        Math.abs(400 - out[1]!),
      );
      expect(beside).toBeLessThan(0.3);
    }
  });

  it('stays where cloth is taken up within it', () => {
    const part = {
      key: 'part',
      name: 'Part',
      at: AT,
      box: BOX,
      outline: [ellipse({ x: 300, y: 200 }, 300, 200)],
    };
    const flat = drawPart(part, []);
    const round = drawPart(part, [
      { kind: 'form', across: 100, up: 100 },
      { kind: 'folds', count: 5, depth: 40 },
    ]);
    expect(round.outline).toEqual(flat.outline);
    // Folds are drawn by a line each.
    expect(round.ink.flatMap(({ lines }) => lines)).toHaveLength(5);
  });

  it('is refused where it would be seen from behind', () => {
    const corners = [
      { x: 0, y: 0 },
      { x: 600, y: 0 },
      { x: 320, y: 300 },
      { x: 280, y: 300 },
    ] as const;
    const bent = bentBy({ kind: 'perspective', corners }, { width: 600, height: 400 });
    const tall = polyline([...[0, 600].map((x) => ({ x, y: 0 })), { x: 300, y: -400 }], true);
    expect(() => bentLine(tall, { bent, at: AT, tolerance: 0.1 })).toThrow('bend/perspective');
  });
});

describe('bends that are sound alone', () => {
  it('may fold cloth over together, which is found with its place', () => {
    const bends = [
      { kind: 'waist' as const, share: 2, at: 0, reach: 1 },
      { kind: 'ripple' as const, length: 60, height: 60 },
      { kind: 'arc' as const, degrees: 150 },
    ];
    for (const bend of bends) expect(() => checkUnfolded(bentBy(bend, BOX), BOX)).not.toThrow();
    expect(() => checkUnfolded(bentInTurn(bends, BOX), BOX)).toThrow('bend/folds-over');
  });
});
