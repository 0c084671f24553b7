import polygonClipping from 'polygon-clipping';
import { describe, expect, it } from 'vitest';
import { shadeOfLetter } from '../../src/core/colour/letter-shades.ts';
import type { Mixing } from '../../src/core/colour/mixing.ts';
import { checkDesign } from '../../src/core/design/check-design.ts';
import { compile } from '../../src/core/design/compile-design.ts';
import type { MotifDesign } from '../../src/core/design/design-schema.ts';
import { motifFacts } from '../../src/core/design/motif/motif-facts.ts';
import type { Motif, Piece, PieceFade, PieceShape } from '../../src/core/design/motif/motif-schema.ts';
import { designFromStart } from '../../src/core/design/starts.ts';
import { surdToNumber } from '../../src/core/exact/surd.ts';
import { unitToSvg } from '../../src/core/formats/svg/unit-svg.ts';
import { gaussianWeights } from '../../src/core/paint/gaussian.ts';
import { paintRows, preparePainting } from '../../src/core/paint/painting.ts';
import type { RepeatUnit } from '../../src/core/repeat/repeat-unit.ts';
import { lineThrough } from '../../src/core/shape/line-figures.ts';
import { disc, motifOf, type SomePiece } from '../motif-of.ts';
import { picturesOf } from '../pictures-of.ts';
import { insides, rendered } from '../svg-renderers.ts';

const WIDTH = 240;

/** Steps of a box's side. */
const SIDE = 10;

function inTens(pieces: readonly SomePiece[], more: Partial<Motif> = {}) {
  return motifOf(pieces, more, SIDE);
}

/** Square steps of a shade in one box of 10 × 10. */
function areaOf(pieces: readonly (Partial<Piece> & { shape: PieceShape })[], key = 'B'): number {
  const found = motifFacts(inTens(pieces)).shares.find((share) => share.key === key);
  return (found?.share ?? 0) * 100;
}

/** A repeat as bytes, mixed as stored values, as renderers mix them. */
function painted(unit: RepeatUnit, width: number, height: number, mixing: Mixing = 'bytes'): Uint8Array {
  const out = new Uint32Array(width * height);
  const window = {
    tile: { width, height },
    width,
    offset: { x: 0, y: 0 },
    look: 'flat',
    mixing,
  } as const;
  paintRows(preparePainting(unit, window), 0, height, out);
  return new Uint8Array(out.buffer);
}

describe('areas, by the formulas of geometry', () => {
  it('two discs that overlap: two circle segments, 2 r² acos(d/2r) − d/2 √(4r² − d²)', () => {
    const [r, d] = [3, 2];
    const lens = 2 * r * r * Math.acos(d / (2 * r)) - (d / 2) * Math.sqrt(4 * r * r - d * d);
    const left = { shape: disc('6'), x: '4', made: [{ kind: 'overlap' as const, with: [2] }] };
    expect(areaOf([left, { shape: disc('6'), x: '6' }])).toBeCloseTo(lens, 2);
  });

  it.each([
    ['a square', { kind: 'rectangle', width: '4', height: '4', radii: '0' } as PieceShape, 16, 16],
    [
      'a hexagon',
      { kind: 'polygon', sides: 6, measured: 'side', size: '2' } as PieceShape,
      (3 * Math.sqrt(3) * 4) / 2,
      12,
    ],
    ['a disc', disc('4'), 4 * Math.PI, 4 * Math.PI],
  ])(
    'a round band d wide around %s adds perimeter × d + π d² (J. Steiner; from memory)',
    (_, shape, area, perimeter) => {
      const made = [
        {
          kind: 'bands' as const,
          side: 'outward' as const,
          corner: 'round' as const,
          bands: [{ width: '3/4', shade: 'R' }],
        },
      ];
      const band = areaOf([{ shape, made }], 'R');
      expect(areaOf([{ shape, made }])).toBeCloseTo(area, 2);
      expect(band).toBeCloseTo(perimeter * 0.75 + Math.PI * 0.75 ** 2, 2);
    },
  );

  it('the star 8/3: 16 triangles from its middle', () => {
    // Inner corners on r cos(3π/8) / cos(2π/8); each triangle is half of both radii × the sine of π/8.
    const r = 4;
    const inner = (r * Math.cos((3 * Math.PI) / 8)) / Math.cos((2 * Math.PI) / 8);
    const expected = 16 * 0.5 * r * inner * Math.sin(Math.PI / 8);
    expect(areaOf([{ shape: { kind: 'starStep', points: 8, skip: 3, radius: '4' } }])).toBeCloseTo(
      expected,
      2,
    );
  });
});

describe('facts of the trade (common practice)', () => {
  it('of each disc of a scallop of diameter d the area d²/2 is seen', () => {
    // Two of them in a box of d × d, every second row moved by half; lower rows lie on top.
    const scales = inTens(
      [
        { shape: disc('8'), x: '0', y: '6', shade: 'R' },
        { shape: disc('8'), x: '4', y: '2', shade: 'B' },
      ],
      { box: { width: '8', height: '8' } },
    );
    const laid = { ...scales, construction: { ...scales.construction, overlap: 'down' as const } };
    const seen = new Map(motifFacts(laid).shares.map(({ key, share }) => [key, share * 8 * 8]));
    expect(seen.get('R')).toBeCloseTo(8 ** 2 / 2, 3);
    expect(seen.get('B')).toBeCloseTo(8 ** 2 / 2, 3);
  });

  it('argyle 3:4 closes on 2 × 2 diamonds, half of it diamonds of two shades alike, its sides at 53.130°', () => {
    const argyle = designFromStart('motif', 'argyle');
    const { construction } = argyle;
    const plain = { ...argyle, construction: { ...construction, pieces: construction.pieces.slice(0, 2) } };
    const shares = motifFacts(plain).shares.map(({ share }) => share);
    expect([...shares].sort((one, other) => one - other).map((share) => Number(share.toFixed(6)))).toEqual([
      0.25, 0.25, 0.5,
    ]);
    const [diamond] = construction.pieces;
    if (diamond?.shape.kind !== 'line') throw new Error('expected a line');
    const [left, top] = diamond.shape.points.map(({ x, y }) => [Number(x.replace('3/2', '1.5')), Number(y)]);
    const angle = (Math.atan2(top![1]! - left![1]!, top![0]! - left![0]!) * 180) / Math.PI;
    expect(angle).toBeCloseTo(53.13, 2);
  });

  it('a wave over four quarters leaves at the height and slope at which it came in: no row of pixels breaks', () => {
    const unit = compile(designFromStart('motif', 'wave'));
    const bytes = painted(unit, WIDTH, WIDTH / 2);
    const columnAt = (x: number) => Array.from({ length: WIDTH / 2 }, (_, y) => bytes[(y * WIDTH + x) * 4]!);
    const gap = (one: number, other: number) =>
      columnAt(one).reduce((sum, byte, y) => sum + Math.abs(byte - columnAt(other)[y]!), 0);
    // From the last column to the first it changes no more than between any two in the middle of the slope.
    expect(gap(WIDTH - 1, 0)).toBeLessThanOrEqual(1.2 * Math.max(gap(1, 2), gap(WIDTH / 2, WIDTH / 2 + 1)));
  });
});

/** Shadows are blurred otherwise by renderers, and are compared by themselves. */
function withoutShadows(design: MotifDesign): MotifDesign {
  const { construction } = design;
  const pieces = construction.pieces.map((piece) => ({ ...piece, shadow: null }));
  return { ...design, construction: { ...construction, pieces } };
}

describe('motifs against two SVG renderers, resvg and librsvg (through sharp)', () => {
  it.each([
    'dots-half-drop',
    'fish-scale',
    'scallop',
    'arc-scale',
    'wave',
    'zigzag',
    'chevron',
    'argyle',
    'interlocking-bars',
    'crosses',
    'nested-squares',
    'pinwheel',
    'quatrefoil',
    'ogee',
    'stars',
    'leaves',
  ])('%s: the same inside, within 16 levels at edges', async (key) => {
    const unit = compile(withoutShadows(designFromStart('motif', key)));
    const height = Math.round((WIDTH * surdToNumber(unit.pitch.y)) / surdToNumber(unit.pitch.x));
    const ours = painted(unit, WIDTH, height);
    const all = await rendered(unitToSvg(unit, 'Motif'), WIDTH, height);
    for (const [name, theirs] of Object.entries(all)) {
      expect(theirs.length).toBe(ours.length);
      let [far, edges] = [0, 0];
      for (let at = 0; at < ours.length; at += 1) {
        const gap = Math.abs(ours[at]! - theirs[at]!);
        if (gap > 16) far += 1;
        if (gap > 0) edges += 1;
      }
      const inside = insides(ours, theirs, WIDTH, 1);
      expect(inside.count, name).toBeGreaterThan(WIDTH * 10);
      expect(inside.differing, name).toBe(0);
      expect(far / ours.length, name).toBeLessThan(0.002);
      expect(edges, name).toBeGreaterThan(0);
    }
  });
});

/** The error function. Source: M. Abramowitz, I. A. Stegun, Handbook of Mathematical Functions, 1964, 7.1.26 (|ε| ≤ 1.5e−7). */
function erf(x: number): number {
  const t = 1 / (1 + 0.3275911 * Math.abs(x));
  const sum = [0.254829592, -0.284496736, 1.421413741, -1.453152027, 1.061405429].reduce(
    (all, factor, at) => all + factor * t ** (at + 1),
    0,
  );
  return Math.sign(x) * (1 - sum * Math.exp(-x * x));
}

describe('soft shadows', () => {
  it.each([0.7, 2, 5.5, 20])(
    'weights of a Gaussian of %d pixels are those of the error function',
    (deviation) => {
      const weights = gaussianWeights(deviation);
      const reach = (weights.length - 1) / 2;
      const upTo = (x: number) => erf(x / (deviation * Math.SQRT2));
      // Cut where nothing is seen, what is left is made whole.
      const whole = upTo(reach + 0.5);
      weights.forEach((weight, at) => {
        const from = at - reach - 0.5;
        expect(weight).toBeCloseTo((upTo(from + 1) - upTo(from)) / 2 / whole, 6);
      });
      const within = (times: number) =>
        weights
          .filter((_, at) => Math.abs(at - reach) <= times * deviation)
          .reduce((sum, weight) => sum + weight, 0);
      // 68 % within one deviation, 95 % within two, up to a pixel at their ends.
      if (deviation === 20)
        expect([within(1), within(2)].map((part) => part.toFixed(1))).toEqual(['0.7', '1.0']);
    },
  );

  it.each([
    ['1/5', 5],
    ['3/4', 18],
  ])('of %s steps, %i pixels, are those of the two renderers', async (softness, pixels) => {
    const shadow = { x: '1', y: '-1', softness, shade: 'R', strength: '60%' };
    const unit = compile(inTens([{ shape: disc('5'), x: '9', shadow }]));
    const ours = painted(unit, WIDTH, WIDTH);
    const all = await rendered(unitToSvg(unit, 'Motif'), WIDTH, WIDTH);
    for (const [name, theirs] of Object.entries(all)) {
      // Both blur by boxes three times, as W3C Filter Effects allows, so 3 of 255 levels may differ. Beyond the picture
      // one of them blurs nothing, so that as much as a blur reaches is left out at its edges.
      const far = ours.filter((byte, at) => {
        const x = Math.floor(at / 4) % WIDTH;
        const y = Math.floor(at / 4 / WIDTH);
        const edge = Math.min(x, y, WIDTH - 1 - x, WIDTH - 1 - y);
        return edge >= 3 * pixels && Math.abs(byte - theirs[at]!) > 3;
      });
      expect(far.length / ours.length, name).toBeLessThan(0.003);
    }
  });
});

describe('fades', () => {
  it.each([
    { kind: 'along', shades: ['B', 'C', 'R'], over: 'piece', angle: '30' },
    { kind: 'outward', shades: ['R', 'B'], over: 'piece' },
    { kind: 'along', shades: ['B', 'R', 'B'], over: 'repeat', angle: '0' },
  ] as const)('%o is as the two renderers draw its gradient', async (fade) => {
    const piece = {
      shape: disc('7'),
      x: '8',
      turn: '20',
      fade: { ...fade, shades: [...fade.shades] } as PieceFade,
    };
    const unit = compile(inTens([piece]));
    const ours = painted(unit, WIDTH, WIDTH, 'light');
    const all = await rendered(unitToSvg(unit, 'Motif'), WIDTH, WIDTH);
    for (const [name, theirs] of Object.entries(all)) {
      const far = ours.filter((byte, at) => Math.abs(byte - theirs[at]!) > 4);
      // Edges are mixed as light here and as bytes there.
      expect(far.length / ours.length, name).toBeLessThan(0.02);
    }
  });
});

describe('pieces made with each other', () => {
  const corners = (points: number, outer: number, inner: number, x: number, y: number) =>
    Array.from({ length: 2 * points }, (_, at): [number, number] => {
      const angle = Math.PI / 2 + (Math.PI * at) / points;
      const radius = at % 2 === 0 ? outer : inner;
      return [x + radius * Math.cos(angle), y + radius * Math.sin(angle)];
    });
  const stars = [corners(5, 4, 2, 4.5, 5), corners(7, 3, 1.5, 6, 4.5)] as const;

  it.each([
    ['join', polygonClipping.union],
    ['cut', polygonClipping.difference],
    ['overlap', polygonClipping.intersection],
  ] as const)(
    '%s has the area that another polygon library finds (polygon-clipping, by sweeping)',
    (kind, combine) => {
      const star = (points: number, outer: string, inner: string): PieceShape => ({
        kind: 'star',
        points,
        outer,
        inner,
      });
      const ours = areaOf([
        { shape: star(5, '4', '2'), x: '4.5', made: [{ kind, with: [2] }] },
        { shape: star(7, '3', '1.5'), x: '6', y: '4.5' },
      ]);
      const theirs = combine([[...stars[0]]], [[...stars[1]]]).reduce((sum, rings) => {
        const area = (ring: readonly (readonly [number, number])[]) =>
          Math.abs(
            ring.reduce((all, [x, y], at) => {
              const [nextX, nextY] = ring[(at + 1) % ring.length]!;
              return all + (x * nextY - nextX * y) / 2;
            }, 0),
          );
        const [outer, ...holes] = rings.map((ring) => area(ring));
        return sum + outer! - holes.reduce((all, hole) => all + hole, 0);
      }, 0);
      expect(theirs).toBeGreaterThan(1);
      expect(ours).toBeCloseTo(theirs, 3);
    },
  );
});

describe('lines that curve', () => {
  const place = (x: number, y: number) => ({ x, y, bend: 'curve' as const, radius: 0 });

  it('of evenly spaced points have handles a sixth of the way between their neighbours from them', () => {
    // E. Catmull, R. Rom, A class of local interpolating splines, 1974: at even spacing the centripetal one is the
    // uniform one, whose Bézier handles are pᵢ ± (pᵢ₊₁ − pᵢ₋₁)/6 (from memory).
    const places = [place(0, 0), place(3, 4), place(6, 0), place(9, 4), place(12, 0)];
    const { start, segments } = lineThrough(places, 'open', 0);
    expect(start).toMatchObject({ x: 0, y: 0 });
    segments.forEach((segment, at) => {
      if (segment.kind !== 'curve') throw new Error('expected a curve');
      const { leave, arrive, to } = segment.curve;
      const [before, here, next, after] = [at - 1, at, at + 1, at + 2].map((index) => places[index]);
      // It passes through every point.
      expect([to.x, to.y]).toEqual([next!.x, next!.y]);
      if (before !== undefined) {
        expect(leave.x).toBeCloseTo(here!.x + (next!.x - before.x) / 6, 9);
        expect(leave.y).toBeCloseTo(here!.y + (next!.y - before.y) / 6, 9);
      }
      if (after !== undefined) {
        expect(arrive.x).toBeCloseTo(next!.x - (after.x - here!.x) / 6, 9);
        expect(arrive.y).toBeCloseTo(next!.y - (after.y - here!.y) / 6, 9);
      }
    });
  });
});

describe('hexagon packing', () => {
  it('of whole pixels is 1 : √3 by a convergent: 56 × 97, off by 53 millionths', () => {
    const { pitch } = compile(designFromStart('motif', 'hexagon-packing'));
    const ratio = surdToNumber(pitch.y) / surdToNumber(pitch.x);
    // T. L. Heath, The Works of Archimedes, 1897: 97/56 is among the best ratios of √3 (from memory).
    expect(ratio).toBeCloseTo(97 / 56, 12);
    expect((ratio / Math.sqrt(3) - 1) * 1e6).toBeCloseTo(53.1, 0);
    const design = designFromStart('motif', 'hexagon-packing');
    const report = checkDesign(design, { pictures: picturesOf(design) });
    expect(report.painted?.differingBytes).toBe(0);
  });
});

describe('a piece that crosses the edges', () => {
  it('is as a plain drawing of three by three boxes, cut to its middle', async () => {
    const unit = compile(
      inTens([{ shape: { kind: 'star', points: 7, outer: '4', inner: '2' }, x: '1', y: '9', turn: '10' }]),
    );
    const ours = painted(unit, WIDTH, WIDTH);
    const corners = Array.from({ length: 14 }, (_, at) => {
      const angle = Math.PI / 2 + (Math.PI * at) / 7 + (10 * Math.PI) / 180;
      const radius = at % 2 === 0 ? 4 : 2;
      return [1 + radius * Math.cos(angle), 9 + radius * Math.sin(angle)] as const;
    });
    const stars = [-1, 0, 1].flatMap((across) =>
      [-1, 0, 1].map((up) => {
        const points = corners.map(([x, y]) => `${x + 10 * across},${10 - y - 10 * up}`).join(' ');
        return `<polygon fill="${shadeOfLetter('B').hex}" points="${points}"/>`;
      }),
    );
    const svg =
      `<svg xmlns="http://www.w3.org/2000/svg" width="10mm" height="10mm" viewBox="0 0 10 10">` +
      `<rect width="10" height="10" fill="${shadeOfLetter('C').hex}"/>${stars.join('')}</svg>`;
    const { librsvg } = await rendered(svg, WIDTH, WIDTH);
    const inside = insides(ours, librsvg!, WIDTH);
    expect(inside.count).toBeGreaterThan(WIDTH * 100);
    expect(inside.differing).toBe(0);
    expect(ours.filter((byte, at) => Math.abs(byte - librsvg![at]!) > 16)).toHaveLength(0);
  });
});
