import type { Place } from '../../shape/places.ts';
import type { Mark } from '../../shape/shape.ts';
import { markPlaces, unorderedSignature } from './mark-places.ts';

/** The marks of all copies of a piece, without the copies that lie on an earlier one. @param size  of a repeat */
export function onceEach(copies: readonly (readonly Mark[])[], size: Place): readonly Mark[] {
  const seen = new Set<string>();
  return copies.flatMap((marks) => {
    const name = marks
      .flatMap((mark) => markPlaces(mark).map((each) => unorderedSignature(each, size)))
      .join('\n');
    if (seen.has(name)) return [];
    seen.add(name);
    return marks;
  });
}
