import { colorsNamed, differenceCiede2000, formatHex, nearest, parse } from 'culori';

const NAMES = Object.keys(colorsNamed);
const nearestName = nearest(NAMES, differenceCiede2000());

/** Hex of a CSS colour name (CSS Color Module Level 4, §6.1), or undefined when it is none. */
export function hexOfName(name: string): string | undefined {
  const plain = name.trim().toLowerCase();
  return Object.hasOwn(colorsNamed, plain) ? formatHex(parse(plain)) : undefined;
}

/** First words of the CSS colour names that are written together. */
const FIRST_WORDS =
  /^(alice|antique|blanched|burly|cadet|cornflower|corn|dark|deep|dim|dodger|fire|floral|forest|ghost|golden|honey|hot|indian|lawn|lemon|light|lime|medium|midnight|mint|misty|navajo|old|olive|pale|papaya|peach|powder|rebecca|rosy|royal|saddle|sandy|sea|sky|slate|spring|steel|white)(?=[a-z]{3})/;

/** A name to begin with for a shade that has none: that of the nearest CSS colour, its words apart. */
export function nameOf(hex: string): string {
  const words: string[] = [];
  let rest = nearestName(hex)[0] ?? 'shade';
  for (let first = FIRST_WORDS.exec(rest); first !== null; first = FIRST_WORDS.exec(rest)) {
    words.push(first[0]);
    rest = rest.slice(first[0].length);
  }
  const name = [...words, rest].join(' ');
  return name.charAt(0).toUpperCase() + name.slice(1);
}
