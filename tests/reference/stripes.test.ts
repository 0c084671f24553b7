import { Resvg } from '@resvg/resvg-js';
import Fraction from 'fraction.js';
import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { LINEAR_OF_BYTE } from '../../src/core/colour/linear.ts';
import { compile } from '../../src/core/design/compile-design.ts';
import type { StripeDesign } from '../../src/core/design/design-schema.ts';
import { designFromText } from '../../src/core/design/exchange/counts-text.ts';
import { asKind } from '../../src/core/design/of-kind.ts';
import { inSquare } from '../../src/core/design/stripe/at-angle.ts';
import { nearSlopes } from '../../src/core/exact/near-slopes.ts';
import { rational, toNumber } from '../../src/core/exact/rational.ts';
import { slope, slopeDegrees } from '../../src/core/exact/slope.ts';
import { nearFraction } from '../../src/core/exact/surd.ts';
import { surdText } from '../../src/core/exact/surd-text.ts';
import { unitToSvg } from '../../src/core/formats/svg/unit-svg.ts';
import { paintTile } from '../../src/core/paint/painting.ts';
import { gatherBlocks } from '../../src/core/picture/block-grid.ts';
import { graduatedRun } from '../../src/core/thread/runs.ts';

function stripe(...lines: readonly string[]): StripeDesign {
  return asKind('stripe', designFromText(lines.join('\n'), 'Stripe'));
}

const TWO = 'shades: A=#2e4c63 Slate, W=#fbf8f0 White';

describe('a square at 45° (common practice: a line from corner to corner, and an odd number of lines between two opposite corners)', () => {
  it.each([1, 2, 3, 4, 7, 12])('with %i periods along each edge', (periods) => {
    const design = stripe(TWO, 'stripe: A1 W1', 'slope: 1/1');
    const change = inSquare(design, rational(120), periods);
    const made = { ...design, construction: { ...design.construction, ...change } };
    const { pitch } = compile(made);
    expect([surdText(pitch.x), surdText(pitch.y)]).toEqual(
      Array(2).fill(`${new Fraction(120, periods).toFraction()}`),
    );
    // Painted into the square, the line through the lower left corner runs through the upper right one.
    const size = 24 * periods;
    const tile = new Uint32Array(paintTile(compile(made), { width: 24, height: 24 }).buffer);
    const at = (x: number, y: number) => tile[(y % 24) * 24 + (x % 24)];
    for (let step = 0; step + 1 < size; step += 1) {
      expect(at(step + 6, size - 1 - step)).toBe(at(6, size - 1));
    }
    // Between the other two corners lie 2m − 1 lines, an odd number, counted where a band begins.
    const diagonal = Array.from({ length: size }, (_, step) => at(step, step));
    const begins = diagonal.filter(
      (shade, step) => step > 0 && shade === diagonal[0] && diagonal[step - 1] !== shade,
    );
    expect(begins).toHaveLength(2 * periods - 1);
  });
});

describe('whole diagonals (Pythagorean triples; Euclid, Elements X, lemma 1 before proposition 29)', () => {
  it.each([
    [3, 4, 5, 36.8699],
    [5, 12, 13, 22.6199],
    [8, 15, 17, 28.0725],
    [7, 24, 25, 16.2602],
  ])('%i over %i: widths across the lines give a repeat without a root', (rise, run, diagonal, degrees) => {
    const { pitch } = compile(stripe(TWO, 'stripe: A5 W7', `slope: ${rise}/${run}`));
    expect(surdText(pitch.x)).toBe(new Fraction(12 * diagonal, rise).toFraction());
    expect(surdText(pitch.y)).toBe(new Fraction(12 * diagonal, run).toFraction());
    expect(slopeDegrees(slope(rise, run))).toBeCloseTo(degrees, 4);
  });

  it('35° is nearly 7/10 (34.992°; common practice)', () => {
    const near = nearSlopes(35, 10).at(-1)!;
    expect(near.slope).toEqual({ rise: 7, run: 10 });
    expect(near.degrees).toBeCloseTo(34.992, 3);
  });
});

describe('a tile closes when each edge holds whole periods: w·n₁/p and h·n₂/p (common practice)', () => {
  it.each([
    ['7/10', 'across'],
    ['-5/3', 'across'],
    ['2/9', 'edge'],
  ])('slope %s measured %s, in doubles', (text, measured) => {
    const design = stripe(TWO, 'stripe: A4 W9', `slope: ${text}`, `measured: ${measured}`);
    const { rise, run } = design.construction.slope;
    const length = Math.hypot(rise, run);
    const { x, y } = compile(design).pitch;
    const [w, h] = [x, y].map((side) => toNumber(nearFraction(side))) as [number, number];
    const across = measured === 'across' ? 13 : (13 * Math.abs(rise)) / length;
    expect((w * Math.abs(rise)) / length / across).toBeCloseTo(1, 12);
    expect((h * run) / length / across).toBeCloseTo(1, 12);
  });
});

describe('drawn as SVG and rendered by another library', () => {
  it.each(['down', 'across', '1/1', '-7/10', '5/2'])('%s: no pixel takes the ground', (direction) => {
    // Two shades without red: whatever shows red lets the ground through.
    const design = stripe(
      'shades: A=#003c5a Deep, B=#00a078 Light, C=#00325a Deeper',
      'stripe: A4 B7 C3 B2',
      `slope: ${direction}`,
    );
    const svg = unitToSvg(compile(design), 'Stripe');
    const { pixels, width } = new Resvg(svg, {
      background: '#ff0000',
      fitTo: { mode: 'width', value: 240 },
    }).render();
    // The tile's own border may cut a pixel.
    const inner = [...pixels.keys()].filter((at) => {
      const [x, y] = [(at / 4) % width, Math.floor(at / 4 / width)];
      return at % 4 === 0 && x > 1 && x < width - 2 && y > 1 && y < pixels.length / 4 / width - 2;
    });
    expect(inner.length).toBeGreaterThan(1000);
    expect(inner.reduce((most, at) => Math.max(most, pixels[at]!), 0)).toBe(0);
  });

  it('shows what is painted', () => {
    const design = stripe(TWO, 'stripe: A30 W20', 'slope: 3/4');
    const unit = compile(design);
    const rendered = new Resvg(unitToSvg(unit, 'Stripe'), { fitTo: { mode: 'width', value: 200 } }).render();
    const { width, height, pixels } = rendered;
    const painted = paintTile(unit, { width, height });
    // Away from edges both show a shade; on edges one mixes light, the other bytes.
    const far = painted.filter((byte, at) => Math.abs(byte - pixels[at]!) > 60).length;
    expect(far).toBe(0);
    const differing = painted.filter((byte, at) => Math.abs(byte - pixels[at]!) > 2).length;
    expect(differing / painted.length).toBeLessThan(0.03);
  });
});

describe('blocks of a picture beside another library’s (sharp, the mean of a block of linear light)', () => {
  it('have the same mean light', async () => {
    const [width, height, block] = [44, 30, 8];
    const pixels = Uint8Array.from(
      { length: width * height * 3 },
      (_, at) => (at * 29 + ((at * at) >> 5)) % 256,
    );
    const gatherer = gatherBlocks({ width, height }, block, LINEAR_OF_BYTE);
    gatherer.addRows(pixels);
    const { light, columns, rows } = gatherer.finish();
    for (let row = 0; row < rows; row += 1) {
      for (let column = 0; column < columns; column += 1) {
        const [left, top] = [column * block, row * block];
        const wide = Math.min(block, width - left);
        const tall = Math.min(block, height - top);
        const piece = Uint16Array.from({ length: wide * tall * 3 }, (_, at) => {
          const [x, y] = [left + (Math.floor(at / 3) % wide), top + Math.floor(at / 3 / wide)];
          return LINEAR_OF_BYTE[pixels[(y * width + x) * 3 + (at % 3)]!]!;
        });
        const { channels } = await sharp(piece, { raw: { width: wide, height: tall, channels: 3 } }).stats();
        channels.forEach(({ mean }, channel) => {
          expect(light[(row * columns + column) * 3 + channel]).toBeCloseTo(mean, 3);
        });
      }
    }
  });
});

describe('totals of runs by formula (arithmetic: n(2a + (n − 1)d)/2; Fibonacci: F₁ + … + Fₙ = Fₙ₊₂ − 1)', () => {
  it.each([
    [2, 3, 6],
    [5, 1, 12],
  ])('from %i by %i, %i bands', (first, by, count) => {
    const bands = graduatedRun({ kind: 'arithmetic', first: rational(first), step: rational(by) }, count, [
      'A',
      'B',
    ]);
    expect(bands.reduce((sum, band) => sum + band.count, 0)).toBe(
      (count * (2 * first + (count - 1) * by)) / 2,
    );
  });

  it('Fibonacci', () => {
    const bands = graduatedRun({ kind: 'fibonacci', first: rational(1), second: rational(1) }, 12, ['A']);
    expect(bands.reduce((sum, band) => sum + band.count, 0)).toBe(377 - 1);
  });
});
