import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CoreError } from '../error.ts';
import type { Place } from '../shape/places.ts';
import type { Bent, FlatBox } from './bent.ts';
import { type Bend, bentBy, bentInTurn } from './bent-by.ts';

const BOX: FlatBox = { width: 900, height: 1400 };

function place(map: Bent['there'], x: number, y: number): Place {
  const out = new Float64Array(2);
  map(x, y, out);
  return { x: out[0]!, y: out[1]! };
}

const part = (min: number, max: number) => fc.double({ min, max, noNaN: true });

/** Every kind of bend, as far as it may go. */
const someBend: fc.Arbitrary<Bend> = fc.oneof(
  fc.record({ kind: fc.constant('arc' as const), degrees: part(-60, 60) }),
  fc.record({
    kind: fc.constant('waist' as const),
    share: part(-0.9, 3),
    at: part(0, 1),
    reach: part(0.1, 2),
  }),
  fc.record({ kind: fc.constant('ripple' as const), length: part(20, 2000), height: part(-200, 200) }),
  fc.record({
    kind: fc.constant('folds' as const),
    count: fc.integer({ min: 1, max: 20 }),
    depth: part(0, 200),
  }),
  fc.record({ kind: fc.constant('form' as const), across: part(0, 170), up: part(0, 170) }),
  fc.record({
    kind: fc.constant('perspective' as const),
    corners: fc
      .tuple(part(-0.3, 0.3), part(-0.3, 0.3), part(-0.3, 0.3), part(-0.3, 0.3))
      .map(([a, b, c, d]): [Place, Place, Place, Place] => [
        { x: a * 900, y: b * 1400 },
        { x: 900 + b * 900, y: c * 1400 },
        { x: 900 + c * 900, y: 1400 + d * 1400 },
        { x: d * 900, y: 1400 + a * 1400 },
      ]),
  }),
);

/** A bend that may not be, or one that is. */
function tried(bends: readonly Bend[]): Bent | undefined {
  try {
    return bentInTurn(bends, BOX);
  } catch (error) {
    if (error instanceof CoreError) return undefined;
    throw error;
  }
}

describe('bends', () => {
  it('forward, then back, give the place again to a millionth of a millimetre', () => {
    let compared = 0;
    fc.assert(
      fc.property(someBend, part(0, 1), part(0, 1), (bend, u, v) => {
        const bent = tried([bend]);
        if (bent === undefined) return;
        const flat = { x: u * BOX.width, y: v * BOX.height };
        const seen = place(bent.there, flat.x, flat.y);
        const again = place(bent.back, seen.x, seen.y);
        compared += 1;
        expect(Math.abs(again.x - flat.x)).toBeLessThan(1e-6);
        expect(Math.abs(again.y - flat.y)).toBeLessThan(1e-6);
      }),
      { numRuns: 2000 },
    );
    expect(compared).toBeGreaterThan(1000);
  });

  it('one after another go back the other way round', () => {
    // Each leaves the cloth within the reach of the next.
    const bends: readonly Bend[] = [
      { kind: 'folds', count: 7, depth: 40 },
      { kind: 'waist', share: -0.4, at: 0.6, reach: 0.5 },
      { kind: 'ripple', length: 300, height: 20 },
      { kind: 'arc', degrees: 25 },
    ];
    const { there, back } = bentInTurn(bends, BOX);
    fc.assert(
      fc.property(part(0, 1), part(0, 1), (u, v) => {
        const flat = { x: u * BOX.width, y: v * BOX.height };
        const seen = place(there, flat.x, flat.y);
        const again = place(back, seen.x, seen.y);
        expect(Math.hypot(again.x - flat.x, again.y - flat.y)).toBeLessThan(1e-6);
      }),
    );
    const alone = bends.reduce(({ x, y }, bend) => place(bentBy(bend, BOX).there, x, y), {
      x: 200,
      y: 300,
    } as Place);
    expect(place(there, 200, 300)).toEqual(alone);
  });

  it('of nothing are nothing', () => {
    for (const bend of [
      { kind: 'arc', degrees: 0 },
      { kind: 'waist', share: 0, at: 0.5, reach: 1 },
      { kind: 'ripple', length: 100, height: 0 },
      { kind: 'folds', count: 5, depth: 0 },
      { kind: 'form', across: 0, up: 0 },
      { kind: 'perspective', corners: corners([0, 0], [900, 0], [900, 1400], [0, 1400]) },
    ] as const satisfies readonly Bend[]) {
      const bent = bentBy(bend, BOX);
      const seen = place(bent.there, 123, 456);
      expect(seen.x).toBeCloseTo(123, 9);
      expect(seen.y).toBeCloseTo(456, 9);
      expect(bent.lightAt?.(123, 456) ?? 1).toBeCloseTo(1, 12);
    }
  });

  it.each<[string, Bend, string]>([
    [
      'an arc so tight that its inner edge passes the middle',
      { kind: 'arc', degrees: 200 },
      'bend/folds-over',
    ],
    ['a waist of no width', { kind: 'waist', share: -1, at: 0.5, reach: 0.5 }, 'bend/folds-over'],
    ['no number', { kind: 'waist', share: Number.NaN, at: 0.5, reach: 0.5 }, 'bend/folds-over'],
    ['ripples of no length', { kind: 'ripple', length: 0, height: 10 }, 'bend/range'],
    ['half a fold', { kind: 'folds', count: 0.5, depth: 10 }, 'bend/range'],
    ['more than half round a form', { kind: 'form', across: 181, up: 0 }, 'bend/range'],
    [
      'three corners on a line',
      { kind: 'perspective', corners: corners([0, 0], [450, 0], [900, 0], [0, 1400]) },
      'bend/perspective',
    ],
    [
      'corners that cross',
      { kind: 'perspective', corners: corners([0, 0], [900, 1400], [900, 0], [0, 1400]) },
      'bend/perspective',
    ],
  ])('refuse %s', (_, bend, code) => {
    expect(() => bentBy(bend, BOX)).toThrow(code);
  });

  it('say where cloth would fold over itself', () => {
    expect(() => bentBy({ kind: 'arc', degrees: 200 }, BOX)).toThrow(
      expect.objectContaining({ facts: { x: 450, y: 0 } }),
    );
    expect(() => bentBy({ kind: 'arc', degrees: -200 }, BOX)).toThrow(
      expect.objectContaining({ facts: { x: 450, y: 1400 } }),
    );
  });
});

function corners(...places: readonly (readonly [number, number])[]): [Place, Place, Place, Place] {
  return places.map(([x, y]) => ({ x, y })) as [Place, Place, Place, Place];
}

describe('cloth along an arc', () => {
  it.each([60, -60, 20])('of %i° keeps the length of its middle and the height of its sides', (degrees) => {
    const { there } = bentBy({ kind: 'arc', degrees }, BOX);
    const steps = 2000;
    let length = 0;
    for (let step = 0; step < steps; step += 1) {
      const from = place(there, (step * BOX.width) / steps, BOX.height / 2);
      const to = place(there, ((step + 1) * BOX.width) / steps, BOX.height / 2);
      length += Math.hypot(to.x - from.x, to.y - from.y);
    }
    expect(length).toBeCloseTo(BOX.width, 3);
    const low = place(there, 0, 0);
    const high = place(there, 0, BOX.height);
    expect(Math.hypot(high.x - low.x, high.y - low.y)).toBeCloseTo(BOX.height, 9);
    // Its ends go down where it is bent above 0.
    expect(Math.sign(place(there, 450, 700).y - place(there, 0, 700).y)).toBe(Math.sign(degrees));
  });
});

describe('cloth in folds', () => {
  it('takes up as much as the sine is long: 4√2 E(1/2) for a slope of one', () => {
    // Abramowitz and Stegun, Handbook of Mathematical Functions, 1964, table 17.1: E(m = 1/2) = 1.3506438810.
    const period = 2 * Math.PI;
    const { back } = bentBy({ kind: 'folds', count: 1, depth: 2 }, { width: period, height: 1 });
    expect(place(back, period, 0).x).toBeCloseTo(4 * Math.SQRT2 * 1.350643881, 4);
  });

  it('is lighter on the side that is turned to the light', () => {
    const { lightAt } = bentBy({ kind: 'folds', count: 1, depth: 200 }, BOX);
    // The first half of a fold comes forward; the light comes from the left.
    expect(lightAt!(10, 0)).toBeGreaterThan(1);
    expect(lightAt!(440, 0)).toBeLessThan(lightAt!(225, 0));
  });
});

describe('cloth in perspective', () => {
  const bent = bentBy(
    { kind: 'perspective', corners: corners([0, 0], [900, 100], [700, 800], [150, 600]) },
    BOX,
  );

  it('has its corners where they were put', () => {
    const at = (x: number, y: number) => {
      const seen = place(bent.there, x, y);
      return [Math.round(seen.x * 1e6) / 1e6, Math.round(seen.y * 1e6) / 1e6];
    };
    expect([at(0, 0), at(900, 0), at(900, 1400), at(0, 1400)]).toEqual([
      [0, 0],
      [900, 100],
      [700, 800],
      [150, 600],
    ]);
  });

  it('keeps straight lines straight, and the cross-ratio of four places on one', () => {
    const flat = [0, 0.2, 0.5, 1].map((t) => ({ x: 100 + 700 * t, y: 300 + 900 * t }));
    const seen = flat.map(({ x, y }) => place(bent.there, x, y));
    const [a, b, c, d] = seen.map((each) => Math.hypot(each.x - seen[0]!.x, each.y - seen[0]!.y)) as [
      number,
      number,
      number,
      number,
    ];
    const area = (one: Place, two: Place, three: Place) =>
      Math.abs((two.x - one.x) * (three.y - one.y) - (three.x - one.x) * (two.y - one.y));
    expect(area(seen[0]!, seen[1]!, seen[3]!)).toBeLessThan(1e-6 * d * d);
    expect(area(seen[0]!, seen[2]!, seen[3]!)).toBeLessThan(1e-6 * d * d);
    const ratio = ((c - a) * (d - b)) / ((c - b) * (d - a));
    expect(ratio).toBeCloseTo((0.5 * 0.8) / (0.3 * 1), 9);
  });

  it('shows nothing beyond its horizon', () => {
    const steep = bentBy(
      { kind: 'perspective', corners: corners([0, 0], [900, 0], [600, 500], [300, 500]) },
      BOX,
    );
    const above = place(steep.back, 450, 5000);
    expect(above.y).toBeNaN();
  });
});

describe('cloth round a form', () => {
  it('half way round takes up half its girth, and nothing is seen beyond its edge', () => {
    const bent = bentBy({ kind: 'form', across: 180, up: 0 }, BOX);
    const radius = BOX.width / 2;
    const right = place(bent.back, BOX.width, 0).x;
    expect(right - place(bent.back, 0, 0).x).toBeCloseTo(Math.PI * radius, 6);
    expect(place(bent.there, right, 0).x).toBeCloseTo(BOX.width, 6);
    expect(place(bent.back, -1, 0).x).toBeNaN();
    expect(bent.lightAt!(450, 0)).toBeCloseTo(1, 9);
    expect(bent.lightAt!(450 + radius * 0.95, 0)).toBeLessThan(0.3);
  });

  it.each([10, 60, 120])('of %i degrees fills the box that it is seen in', (across) => {
    const bent = bentBy({ kind: 'form', across, up: 0 }, BOX);
    const angle = (across * Math.PI) / 180;
    const girth = place(bent.back, BOX.width, 0).x - place(bent.back, 0, 0).x;
    // A chord is to its arc as the sine of half the angle to half the angle.
    expect(girth / BOX.width).toBeCloseTo(angle / 2 / Math.sin(angle / 2), 9);
  });
});
