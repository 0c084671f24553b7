import { formatHex, type Oklch, oklch, toGamut } from 'culori';
import { randomNumbers } from '../exact/random-numbers.ts';
import type { Shade } from './shade.ts';

/** Ways to make other colours of a shade card. */
export type Variation =
  /** Every shade takes the colour of the one `by` places on. */
  | { readonly kind: 'rotate'; readonly by: number }
  /** Hues turned, in degrees; lightness and chroma stay. */
  | { readonly kind: 'hue'; readonly degrees: number }
  /** Lighter or darker by a share of full lightness, −1 … 1. */
  | { readonly kind: 'lighten'; readonly amount: number }
  /** Hues and chromas dealt out anew; each shade keeps its lightness, so dark stays dark. */
  | { readonly kind: 'shuffle'; readonly seed: number };

const intoSrgb = toGamut('rgb', 'oklch');

/** The colours of a card after a variation, in the card's order. Worked in OKLCH and brought into sRGB. */
export function varied(shades: readonly Shade[], variation: Variation): readonly string[] {
  const colours = shades.map(({ hex }) => oklch(hex)!);
  switch (variation.kind) {
    case 'rotate':
      return shades.map((_, index) => shades[modulo(index + variation.by, shades.length)]!.hex);
    case 'hue':
      return colours.map((colour) =>
        hexOf({ ...colour, h: modulo((colour.h ?? 0) + variation.degrees, 360) }),
      );
    case 'lighten':
      return colours.map((colour) =>
        hexOf({ ...colour, l: Math.min(1, Math.max(0, colour.l + variation.amount)) }),
      );
    case 'shuffle': {
      const dealt = shuffled(colours, variation.seed);
      return colours.map(({ l }, index) => hexOf({ ...dealt[index]!, l }));
    }
    default:
      return variation satisfies never;
  }
}

/** Source: R. A. Fisher, F. Yates, Statistical Tables, 1938; in the form that swaps in place. */
function shuffled<T>(list: readonly T[], seed: number): readonly T[] {
  const next = randomNumbers(seed);
  const dealt = [...list];
  for (let last = dealt.length - 1; last > 0; last -= 1) {
    const pick = next() % (last + 1);
    [dealt[last], dealt[pick]] = [dealt[pick]!, dealt[last]!];
  }
  return dealt;
}

function hexOf(colour: Oklch): string {
  return formatHex(intoSrgb(colour));
}

function modulo(value: number, size: number): number {
  return ((value % size) + size) % size;
}
