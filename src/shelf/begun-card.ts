import { withShade } from '../core/colour/change-shade.ts';
import type { Shade } from '../core/colour/shade.ts';
import { cardWith, keyOfWord } from '../core/colour/shade-words.ts';

/** What was changed of shades before their design is made, by their letters. */
export type ShadeChanges = Readonly<Record<string, Partial<Pick<Shade, 'name' | 'hex'>>>>;

export function withChange(
  changes: ShadeChanges,
  key: string,
  change: Partial<Pick<Shade, 'name' | 'hex'>>,
): ShadeChanges {
  return { ...changes, [key]: { ...changes[key], ...change } };
}

/** The card of a design that is begun: a shade for each word that is typed, in their order, as they were changed. */
export function begunCard(
  given: readonly Shade[],
  words: readonly string[],
  changes: ShadeChanges,
): readonly Shade[] {
  const grown = cardWith(given, words);
  const keys = new Set(words.map((word) => keyOfWord(grown, word)));
  const card = [...keys].flatMap((key) => grown.find((shade) => shade.key === key) ?? []);
  return changedCard(card, changes);
}

/** A card with the changes of those shades that it has. */
export function changedCard(card: readonly Shade[], changes: ShadeChanges): readonly Shade[] {
  return Object.entries(changes).reduce<readonly Shade[]>(
    (changed, [key, change]) => withShade(changed, key, change),
    card,
  );
}
