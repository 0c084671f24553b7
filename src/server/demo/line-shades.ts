import type { Shade } from '../../core/colour/shade.ts';

/** The line's shades: letter, name, colour. */
const LINE_SHADES = {
  G: ['Boiler green', '#24402f'],
  R: ['Brake red', '#8c2f25'],
  Y: ['Signal ochre', '#c79a3b'],
  C: ['Ticket cream', '#efe6cf'],
  B: ['Slate water', '#2e4c63'],
  S: ['Ballast', '#7f96a3'],
  K: ['Lamp black', '#262b2d'],
  W: ['Steam white', '#fbf8f0'],
  P: ['Copper pipe', '#b86f52'],
  H: ['Heather bank', '#6d4f63'],
  M: ['Mossy sleeper', '#5f6b43'],
  L: ['Lake mist', '#b4c5c6'],
} as const satisfies Record<string, readonly [name: string, hex: string]>;

/** The line's shades that some bands use, in order of appearance. */
export function lineShades(bands: readonly { readonly shade: string }[]): readonly Shade[] {
  return [...new Set(bands.map(({ shade }) => shade))].map((key) => {
    const [name, hex] = LINE_SHADES[key as keyof typeof LINE_SHADES];
    return { key, name, hex };
  });
}
