import { blend, rgb } from 'culori';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BLENDS, type Blend, layOver } from '../../src/core/colour/blend.ts';
import { hexOf, type Rgb } from '../../src/core/colour/hex.ts';
import { LINEAR_OF_BYTE, LINEAR_ONE } from '../../src/core/colour/linear.ts';

const byte = fc.integer({ min: 0, max: 255 });
const colour: fc.Arbitrary<Rgb> = fc.tuple(byte, byte, byte);

describe('blends (W3C Compositing and Blending Level 1) against culori', () => {
  it.each(Object.keys(BLENDS) as Blend[])('%s', (name) => {
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
