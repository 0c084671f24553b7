import { nameOf } from './name-of.ts';
import type { Shade } from './shade.ts';

/** A name, or with the first number behind it that nothing else has: "Golden rod", "Golden rod 2". */
export function freeName(name: string, taken: (name: string) => boolean): string {
  if (!taken(name)) return name;
  for (let number = 2; ; number += 1) {
    const next = `${name} ${number}`;
    if (!taken(next)) return next;
  }
}

/** A name to begin with for a colour that joins a card: no other shade of it is called so. */
export function nameWithin(card: readonly Pick<Shade, 'name'>[], hex: string): string {
  return freeName(nameOf(hex), (name) => card.some((shade) => shade.name === name));
}
