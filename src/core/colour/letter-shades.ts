import { converter, formatHex } from 'culori';
import type { Shade } from './shade.ts';

/** A colour for each letter, most of them by their names' first letters, so that a letter means the same everywhere. */
const LETTERS: Readonly<Record<string, readonly [name: string, hex: string]>> = {
  A: ['Amber', '#d08c2c'],
  B: ['Blue', '#2c5f8a'],
  C: ['Cream', '#efe6cf'],
  D: ['Denim', '#56708a'],
  E: ['Earth', '#5f4636'],
  F: ['Fern', '#4f7a4a'],
  G: ['Green', '#2a5340'],
  H: ['Heather', '#6d4f63'],
  I: ['Indigo', '#2f3566'],
  J: ['Jade', '#3d8a78'],
  K: ['Black', '#262b2d'],
  L: ['Lilac', '#a99bbd'],
  M: ['Moss', '#5f6b43'],
  N: ['Navy', '#22344f'],
  O: ['Ochre', '#c79a3b'],
  P: ['Pink', '#d99aa0'],
  Q: ['Quartz', '#dcc8c6'],
  R: ['Red', '#b0442f'],
  S: ['Slate', '#3c4a4e'],
  T: ['Tan', '#b89468'],
  U: ['Umber', '#7a4a32'],
  V: ['Violet', '#6a4a86'],
  W: ['White', '#ffffff'],
  X: ['Smoke', '#7f8a8c'],
  Y: ['Yellow', '#e2bd4a'],
  Z: ['Zinc', '#b4c5c6'],
};

const toOklch = converter('oklch');

/** Degrees that a further letter turns the hue by, and by how much it makes a colour lighter. */
const TURN = 13;
const LIGHTER = 0.012;

/**
 * The shade that a key stands for where nothing else is said. Several letters are that of the first, its hue turned by
 * the others: "GR" is a green of its own.
 */
export function shadeOfLetter(key: string): Shade {
  const [name, hex] = LETTERS[key.charAt(0)]!;
  if (key.length === 1) return { key, name, hex };
  const turn = [...key.slice(1)].reduce((sum, letter) => sum * 5 + letter.charCodeAt(0) - 64, 0);
  const { l, c, h = 0 } = toOklch(hex)!;
  const other = formatHex({
    mode: 'oklch',
    l: Math.min(0.97, l + LIGHTER * (turn % 9)),
    c,
    h: h + TURN * turn,
  });
  return { key, name: `${name} ${key}`, hex: other };
}

/** The letter whose colour has that name, whatever its case. */
export function letterOfName(name: string): string | undefined {
  const wished = name.trim().toLowerCase();
  return Object.keys(LETTERS).find((letter) => LETTERS[letter]![0].toLowerCase() === wished);
}
