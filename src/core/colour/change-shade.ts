import { nameWithin } from './free-name.ts';
import { isGivenName } from './given-name.ts';
import type { Shade } from './shade.ts';

/** A card with one shade changed; a name that its colour gave it follows the colour until another is typed. */
export function withShade(card: readonly Shade[], key: string, change: Partial<Shade>): Shade[] {
  return card.map((shade) => {
    if (shade.key !== key) return shade;
    const { hex = shade.hex, name } = change;
    const follows = name === undefined && hex !== shade.hex && isGivenName(shade);
    const others = card.filter((other) => other !== shade);
    return { ...shade, ...change, ...(follows && { name: nameWithin(others, hex) }) };
  });
}
