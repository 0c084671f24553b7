import { letterOfName, shadeOfLetter } from './letter-shades.ts';
import { hexOfName, nameOf } from './name-of.ts';
import type { Shade } from './shade.ts';

/** Whether a shade's name is one that its colour got by itself: a typed name is kept when the colour changes. */
export function isGivenName({ key, name, hex }: Shade): boolean {
  const plain = name.replace(/ \d+$/, '');
  const letter = letterOfName(plain);
  return (
    plain === nameOf(hex) ||
    plain === shadeOfLetter(key).name ||
    hexOfName(plain.replaceAll(' ', '')) === hex ||
    (letter !== undefined && shadeOfLetter(letter).hex === hex)
  );
}
