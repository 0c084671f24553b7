import { blend, rgb } from 'culori';
import fc from 'fast-check';
import sharp, { type Blend } from 'sharp';
import { describe, expect, it } from 'vitest';
import { layOver, SEPARABLE_BLENDS, type SeparableBlend } from '../../src/core/colour/blend.ts';
import { hexOf, type Rgb } from '../../src/core/colour/hex.ts';
import { LINEAR_OF_BYTE, LINEAR_ONE } from '../../src/core/colour/linear.ts';

const byte = fc.integer({ min: 0, max: 255 });
const colour: fc.Arbitrary<Rgb> = fc.tuple(byte, byte, byte);

const BLENDS = Object.keys(SEPARABLE_BLENDS) as SeparableBlend[];

/** Culori 4.0.2 has 2s(1 − b) − 1 for the lighter half of both, where the standard has 2s(1 − b) − 1 + 2b. */
const WRONG_THERE: readonly SeparableBlend[] = ['hard-light', 'overlay'];

describe('blends (W3C Compositing and Blending Level 1) against culori', () => {
  it.each(BLENDS.filter((name) => !WRONG_THERE.includes(name)))('%s', (name) => {
    fc.assert(
      fc.property(colour, colour, fc.integer({ min: 0, max: 10 }), (under, over, tenths) => {
        const strength = tenths / 10;
        const top = { ...rgb(hexOf(over))!, alpha: strength };
        const theirs = rgb(blend([hexOf(under), top], name))!;
        const ours = layOver(under, over, name, strength);
        // Theirs stays in floating point; ours is rounded once.
        for (const [index, channel] of (['r', 'g', 'b'] as const).entries()) {
          expect(Math.abs(ours[index]! - theirs[channel] * 255)).toBeLessThanOrEqual(0.5 + 1e-6);
        }
      }),
    );
  });

  it('flat gingham: c·c/255 by multiply, (c + white)/2 by half strength (formulas of the standard)', () => {
    expect(layOver([140, 47, 37], [140, 47, 37], 'multiply', 1)).toEqual([77, 9, 5]);
    expect(layOver([255, 255, 255], [140, 47, 37], 'normal', 0.5)).toEqual([198, 151, 146]);
  });
});

/** As libvips calls them. */
const VIPS_BLENDS: Readonly<Record<SeparableBlend, Blend>> = {
  normal: 'over',
  multiply: 'multiply',
  screen: 'screen',
  overlay: 'overlay',
  darken: 'darken',
  lighten: 'lighten',
  'color-dodge': 'colour-dodge',
  'color-burn': 'colour-burn',
  'hard-light': 'hard-light',
  'soft-light': 'soft-light',
  difference: 'difference',
  exclusion: 'exclusion',
};

describe('blends against libvips', () => {
  /** Every 15th level over every 15th. */
  const LEVELS = Array.from({ length: 18 }, (_, at) => at * 15);
  const grid = (levelAt: (x: number, y: number) => number) => ({
    input: Buffer.from(LEVELS.flatMap((_, y) => LEVELS.map((__, x) => levelAt(x, y)))),
    raw: { width: LEVELS.length, height: LEVELS.length, channels: 1 as const },
  });
  const coloured = ({ input, raw }: ReturnType<typeof grid>) =>
    sharp(input, { raw }).toColourspace('srgb').removeAlpha().raw().toBuffer({ resolveWithObject: true });

  it.each(BLENDS)('%s, to a level', async (name) => {
    const under = await coloured(grid((x) => LEVELS[x]!));
    const over = await coloured(grid((_, y) => LEVELS[y]!));
    const { data, info } = await sharp(under.data, { raw: under.info })
      .composite([{ input: over.data, raw: over.info, blend: VIPS_BLENDS[name] }])
      .raw()
      .toBuffer({ resolveWithObject: true });
    expect(info.width * info.height).toBe(LEVELS.length ** 2);
    for (const [y, above] of LEVELS.entries()) {
      for (const [x, below] of LEVELS.entries()) {
        // The standard leaves black under a dodge and white under a burn as they are, whatever lies over them.
        if (name === 'color-dodge' && below === 0 && above === 255) continue;
        if (name === 'color-burn' && below === 255 && above === 0) continue;
        const [ours] = layOver([below, below, below], [above, above, above], name, 1);
        const theirs = data[(y * info.width + x) * info.channels]!;
        expect(Math.abs(ours - theirs), `${name} ${above} over ${below}`).toBeLessThanOrEqual(1);
      }
    }
  });
});

describe('the sRGB transfer (IEC 61966-2-1) against culori', () => {
  it('agrees for every byte to half a step of the table', async () => {
    const { converter } = await import('culori');
    const linear = converter('lrgb');
    for (let value = 0; value < 256; value += 1) {
      const theirs = linear({ mode: 'rgb', r: value / 255, g: 0, b: 0 }).r;
      expect(Math.abs(LINEAR_OF_BYTE[value]! - theirs * LINEAR_ONE)).toBeLessThanOrEqual(0.5 + 1e-6);
    }
  });
});
