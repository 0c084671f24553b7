import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { layOver, SEPARABLE_BLENDS, type SeparableBlend } from '../../colour/blend.ts';
import type { Rgb } from '../../colour/hex.ts';
import { PLY_BLENDS, type PlyBlend } from '../../colour/ply-blend.ts';
import { rowBlender } from './blend-rows.ts';

const pixel = ([red, green, blue]: Rgb, alpha = 255) =>
  ((alpha << 24) | (blue << 16) | (green << 8) | red) >>> 0;

const bytesOf = (value: number) => [value & 255, (value >>> 8) & 255, (value >>> 16) & 255, value >>> 24];

/** One pixel over another. */
function blended(blend: PlyBlend, strength: number, [under, over]: readonly [number, number], clip?: number) {
  const row = Uint32Array.of(under);
  rowBlender(blend, strength)(
    row,
    Uint32Array.of(over),
    clip === undefined ? undefined : Uint32Array.of(clip),
  );
  return bytesOf(row[0]!);
}

const byte = fc.integer({ min: 0, max: 255 });
const colour: fc.Arbitrary<Rgb> = fc.tuple(byte, byte, byte);
const anyBlend = fc.constantFrom(...PLY_BLENDS);
const someStrength = fc.integer({ min: 0, max: 20 }).map((part) => part / 20);

const RED: Rgb = [200, 30, 20];
const GREY: Rgb = [128, 128, 128];
const WHITE: Rgb = [255, 255, 255];

describe('a ply over another', () => {
  it('of a grey twill at 20 % darkens white to 230 by multiply (worked by the formula)', () => {
    expect(blended('multiply', 0.2, [pixel(WHITE), pixel(GREY)])).toEqual([230, 230, 230, 255]);
  });

  it('of opaque pixels is what a print of both shades is', () => {
    const names = Object.keys(SEPARABLE_BLENDS) as SeparableBlend[];
    fc.assert(
      fc.property(fc.constantFrom(...names), colour, colour, someStrength, (blend, under, over, strength) => {
        const found = blended(blend, strength, [pixel(under), pixel(over)]);
        expect(found).toEqual([...layOver(under, over, blend, strength), 255]);
      }),
    );
  });

  it('changes nothing where it is clear, weak as can be, or clipped away', () => {
    fc.assert(
      fc.property(anyBlend, colour, colour, byte, (blend, under, over, alpha) => {
        const below = pixel(under, Math.max(1, alpha));
        const beneath = bytesOf(below);
        expect(blended(blend, 1, [below, pixel(over, 0)])).toEqual(beneath);
        expect(blended(blend, 0, [below, pixel(over)])).toEqual(beneath);
        expect(blended(blend, 1, [below, pixel(over)], 0)).toEqual(beneath);
      }),
    );
  });

  it('is seen as it is where nothing lies beneath', () => {
    fc.assert(
      fc.property(anyBlend, colour, byte, (blend, over, alpha) => {
        const found = blended(blend, 1, [0, pixel(over, alpha)]);
        expect(found).toEqual(alpha === 0 ? [0, 0, 0, 0] : [...over, alpha]);
      }),
    );
  });

  it('half clear lets half of an opaque one through', () => {
    expect(blended('normal', 1, [pixel([0, 0, 0]), pixel([255, 255, 255], 128)])).toEqual([
      128, 128, 128, 255,
    ]);
    // 1 − (1 − 128/255)² is covered.
    expect(blended('normal', 1, [pixel(RED, 128), pixel(RED, 128)])).toEqual([...RED, 192]);
  });

  it('clipped half is seen half', () => {
    expect(blended('normal', 1, [pixel(WHITE), pixel([0, 0, 0])], pixel(RED, 51))).toEqual([
      204, 204, 204, 255,
    ]);
  });

  it('blends a row as its pixels one by one', () => {
    fc.assert(
      fc.property(
        anyBlend,
        someStrength,
        fc.array(fc.tuple(colour, byte, colour, byte, byte), { minLength: 1, maxLength: 12 }),
        (blend, strength, drawn) => {
          // Twice each, so that pixels are as the one before.
          const pixels = drawn.flatMap((each) => [each, each]);
          const under = Uint32Array.from(pixels, ([rgb, alpha]) => pixel(rgb, alpha));
          const over = Uint32Array.from(pixels, ([, , rgb, alpha]) => pixel(rgb, alpha));
          const clip = Uint32Array.from(pixels, ([, , , , alpha]) => pixel(WHITE, alpha));
          const row = under.slice();
          rowBlender(blend, strength)(row, over, clip);
          for (const [x, value] of row.entries()) {
            expect(bytesOf(value)).toEqual(blended(blend, strength, [under[x]!, over[x]!], clip[x]!));
          }
        },
      ),
    );
  });
});

describe('blends of hue, saturation and light (worked by the formulas of the standard)', () => {
  it.each<[PlyBlend, Rgb, Rgb, Rgb]>([
    // A grey has no hue: what takes its hue or saturation is grey, of the light beneath: 0.3·200 + 0.59·30 + 0.11·20.
    ['hue', RED, GREY, [80, 80, 80]],
    ['saturation', RED, GREY, [80, 80, 80]],
    ['color', RED, GREY, [80, 80, 80]],
    ['luminosity', GREY, RED, [80, 80, 80]],
    // Colour over grey: (200, 30, 20) has the light 79.9 and is lifted by 128 − 79.9; red goes beyond 255 by none.
    ['color', GREY, RED, [248, 78, 68]],
    // Lifted to 240, red would be 360: all are drawn toward the light by 15/120.1 of the way.
    ['color', [240, 240, 240], RED, [255, 234, 233]],
    // The light of white is 255 but for the last digit.
    ['color', WHITE, GREY, WHITE],
    ['luminosity', GREY, WHITE, WHITE],
    // Where nothing lies between, there is nothing to stretch.
    ['saturation', GREY, RED, GREY],
  ])('%s', (blend, under, over, result) => {
    expect(blended(blend, 1, [pixel(under), pixel(over)])).toEqual([...result, 255]);
  });
});
