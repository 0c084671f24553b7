import { formatHex } from 'culori';
import { shadeDifference } from '../colour/compare.ts';
import type { Shade } from '../colour/shade.ts';
import { lightOfHex, printedLight } from './printed-colour.ts';
import type { Substrate } from './substrate.ts';

/** A shade, and what becomes of it in print. */
export interface ShadePrint {
  readonly shade: Shade;
  readonly printed: string;
  /** CIEDE2000 of the two. */
  readonly difference: number;
}

/** What becomes of each shade on a cloth, in the mean light of its threads. */
export function shadePrints(shades: readonly Shade[], substrate: Substrate): readonly ShadePrint[] {
  const cloth = lightOfHex(substrate.hex);
  return shades.map((shade) => {
    const [r, g, b] = printedLight(lightOfHex(shade.hex), substrate, cloth);
    const printed = formatHex({ mode: 'lrgb', r, g, b });
    return { shade, printed, difference: shadeDifference(shade, { ...shade, hex: printed }) };
  });
}
