import { freeName } from './free-name.ts';
import { letterOfName, shadeOfLetter } from './letter-shades.ts';
import { hexOfName } from './name-of.ts';
import { freeKey, SHADE_KEY, type Shade } from './shade.ts';

/** The key of the shade that a word stands for on a card: its letter, or its name, whatever the case. */
export function keyOfWord(card: readonly Shade[], word: string): string | undefined {
  const key = word.toUpperCase();
  const wished = word.toLowerCase();
  return (card.find((shade) => shade.key === key) ?? card.find(({ name }) => name.toLowerCase() === wished))
    ?.key;
}

/**
 * A card with a shade more for each word that it lacks and that says a colour: a colour's name ("white", "sea green"),
 * or one to three letters ("G"). Other words add nothing; the same card where nothing is added.
 */
export function cardWith(card: readonly Shade[], words: Iterable<string>): readonly Shade[] {
  const grown = [...card];
  for (const word of words) {
    if (keyOfWord(grown, word) !== undefined) continue;
    const shade = namedShade(grown, word) ?? letteredShade(grown, word);
    if (shade !== undefined) grown.push(shade);
  }
  return grown.length === card.length ? card : grown;
}

function namedShade(card: readonly Shade[], word: string): Shade | undefined {
  if (word.length === 1) return undefined;
  const letter = letterOfName(word);
  const hex = letter === undefined ? hexOfName(word.replaceAll(' ', '')) : shadeOfLetter(letter).hex;
  if (hex === undefined) return undefined;
  const taken = new Set(card.map(({ key }) => key));
  const wished = letter ?? word.charAt(0).toUpperCase();
  return {
    key: taken.has(wished) ? freeKey(taken) : wished,
    name: word.charAt(0).toUpperCase() + word.slice(1).toLowerCase(),
    hex,
  };
}

function letteredShade(card: readonly Shade[], word: string): Shade | undefined {
  const key = word.toUpperCase();
  if (!SHADE_KEY.test(key)) return undefined;
  const shade = shadeOfLetter(key);
  return { ...shade, name: freeName(shade.name, (name) => card.some((other) => other.name === name)) };
}
