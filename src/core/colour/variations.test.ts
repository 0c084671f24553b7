import { oklch } from 'culori';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { HEX } from './hex.ts';
import { varied } from './variations.ts';

const CARD = ['#24402f', '#8c2f25', '#c79a3b', '#efe6cf'].map((hex, at) => ({
  key: 'ABCD'[at]!,
  name: hex,
  hex,
}));

describe('varied', () => {
  it('rotates the colours among the shades', () => {
    expect(varied(CARD, { kind: 'rotate', by: 1 })).toEqual(['#8c2f25', '#c79a3b', '#efe6cf', '#24402f']);
    expect(varied(CARD, { kind: 'rotate', by: -1 })).toEqual(['#efe6cf', '#24402f', '#8c2f25', '#c79a3b']);
  });

  it('turns hues all the way round, back to where they were', () => {
    expect(varied(CARD, { kind: 'hue', degrees: 360 })).toEqual(CARD.map((shade) => shade.hex));
    expect(varied(CARD, { kind: 'hue', degrees: 120 })).not.toEqual(CARD.map((shade) => shade.hex));
  });

  it('lightens and darkens, to white and black at the ends', () => {
    expect(varied(CARD, { kind: 'lighten', amount: 1 })).toEqual(CARD.map(() => '#ffffff'));
    expect(varied(CARD, { kind: 'lighten', amount: -1 })).toEqual(CARD.map(() => '#000000'));
  });

  it('always gives colours, and keeps light and dark in order when it shuffles', () => {
    fc.assert(
      fc.property(fc.nat(10_000), (seed) => {
        const colours = varied(CARD, { kind: 'shuffle', seed });
        expect(colours.every((hex) => HEX.test(hex))).toBe(true);
        const lightness = colours.map((hex) => oklch(hex)!.l);
        expect([...lightness].sort((a, b) => a - b)).toEqual(lightness);
        expect(varied(CARD, { kind: 'shuffle', seed })).toEqual(colours);
      }),
    );
  });
});
