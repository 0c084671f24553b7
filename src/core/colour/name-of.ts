import { colorsNamed, differenceCiede2000, formatHex, nearest, parse } from 'culori';

const NAMES = Object.keys(colorsNamed);
const nearestName = nearest(NAMES, differenceCiede2000());

/** Hex of a CSS colour name (CSS Color Module Level 4, §6.1), or undefined when it is none. */
export function hexOfName(name: string): string | undefined {
  const plain = name.trim().toLowerCase();
  return Object.hasOwn(colorsNamed, plain) ? formatHex(parse(plain)) : undefined;
}

/** A name to begin with for a shade that has none: that of the nearest CSS colour. */
export function nameOf(hex: string): string {
  const name = nearestName(hex)[0] ?? 'shade';
  return name.charAt(0).toUpperCase() + name.slice(1);
}
