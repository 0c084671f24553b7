import type { Bent } from '../../../core/bend/bent.ts';
import type { SpecifiedPart } from '../../../core/design/try-on/compile-try-on.ts';
import type { BentLine } from '../../../core/scene/bent-outline.ts';
import type { Place } from '../../../core/shape/places.ts';

/** The part that is seen at a place of the drawing, the uppermost of them. */
export function partAt(parts: readonly SpecifiedPart[], place: Place): SpecifiedPart | undefined {
  return parts.findLast(({ drawn }) => winding(drawn.outline, place) !== 0);
}

/** How often outlines go round a place, counterclockwise. */
function winding(outline: readonly BentLine[], { x, y }: Place): number {
  let round = 0;
  for (const { places } of outline) {
    for (const [at, from] of places.entries()) {
      const to = places[(at + 1) % places.length]!;
      const rises = from.y <= y && to.y > y;
      const falls = from.y > y && to.y <= y;
      if (!rises && !falls) continue;
      const crossing = from.x + ((y - from.y) / (to.y - from.y)) * (to.x - from.x);
      if (crossing > x) round += rises ? 1 : -1;
    }
  }
  return round;
}

/** How far flat cloth lies between two places of a part's drawing; undefined where one of them is not seen. */
export function flatWay(bent: Bent, at: Place, from: Place, to: Place): Place | undefined {
  const out = new Float64Array(2);
  bent.back(from.x - at.x, from.y - at.y, out);
  const start = { x: out[0]!, y: out[1]! };
  bent.back(to.x - at.x, to.y - at.y, out);
  const way = { x: out[0]! - start.x, y: out[1]! - start.y };
  return Number.isFinite(way.x + way.y) ? way : undefined;
}

/** A length as it is written after a move by hand: to a tenth of a millimetre. */
export function handText(millimetres: number): string {
  const rounded = Number(millimetres.toFixed(1));
  // No minus before nothing.
  return `${rounded === 0 ? 0 : rounded} mm`;
}
