import type { Place } from './places.ts';

/**
 * A shape wherever it comes into the first repeat, or within a reach of it.
 * @param size  of one repeat, in the unit of the places
 */
export function copiesIn(
  places: readonly Place[],
  size: Place,
  reach: number,
): readonly (readonly Place[])[] {
  return shiftsInto(places, size, reach).map((by) =>
    places.map(({ x, y }) => ({ x: x + by.x, y: y + by.y })),
  );
}

/** By how much a shape has to be moved to come into the first repeat, or within a reach of it. */
export function shiftsInto(places: readonly Place[], size: Place, reach: number): readonly Place[] {
  if (places.length === 0) return [];
  const low = { x: Infinity, y: Infinity };
  const high = { x: -Infinity, y: -Infinity };
  for (const { x, y } of places) {
    low.x = Math.min(low.x, x);
    low.y = Math.min(low.y, y);
    high.x = Math.max(high.x, x);
    high.y = Math.max(high.y, y);
  }
  const shifts: Place[] = [];
  const lastAcross = -Math.floor((low.x - reach) / size.x);
  const lastUp = -Math.floor((low.y - reach) / size.y);
  for (let across = -Math.floor((high.x + reach) / size.x); across <= lastAcross; across += 1) {
    for (let up = -Math.floor((high.y + reach) / size.y); up <= lastUp; up += 1) {
      shifts.push({ x: across * size.x, y: up * size.y });
    }
  }
  return shifts;
}
