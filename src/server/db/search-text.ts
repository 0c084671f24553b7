import { kindOf } from '../../core/design/design-facts.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { wordsFor } from '../../wording/construction-words.ts';
import { wholeLayText } from '../../wording/lay-words.ts';

/** Everything that the shelf's search looks at, in small letters. */
export function searchText(design: Design, size: string): string {
  const { construction, lay, name, number, notes, shades } = design;
  const words = [
    name,
    number,
    notes,
    kindOf(design),
    ...shades.map((shade) => shade.name),
    size,
    size.replaceAll(' × ', 'x'),
    ...wordsFor(construction).found(construction),
    wholeLayText(lay),
  ];
  return words.join(' ').toLowerCase();
}
