import type { Place } from './places.ts';

/**
 * A closed polygon without the places where it turns straight back: what lies between the lines there has no area. Where
 * such lines lie level, the polygon package (clipper2-ts 2.0.1) does not come to an end.
 *
 * @param places  in whole units
 * @returns       none where fewer than three are left
 */
export function withoutSpikes(places: readonly Place[]): Place[] {
  const kept: Place[] = [];
  for (const place of places) {
    while (kept.length > 1 && isSpike(kept.at(-2)!, kept.at(-1)!, place)) kept.pop();
    kept.push(place);
  }
  let first = 0;
  while (kept.length - first > 2) {
    if (isSpike(kept.at(-2)!, kept.at(-1)!, kept[first]!)) kept.pop();
    else if (isSpike(kept.at(-1)!, kept[first]!, kept[first + 1]!)) first += 1;
    else return kept.slice(first);
  }
  return [];
}

/** Whether one goes back the way that one came, or stays. */
function isSpike(before: Place, here: Place, after: Place): boolean {
  const come = { x: here.x - before.x, y: here.y - before.y };
  const go = { x: after.x - here.x, y: after.y - here.y };
  return come.x * go.y === come.y * go.x && come.x * go.x + come.y * go.y <= 0;
}
