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
  const rights = multiplesInto(
    places.map(({ x }) => x),
    size.x,
    reach,
  );
  const ups = multiplesInto(
    places.map(({ y }) => y),
    size.y,
    reach,
  );
  return rights.flatMap((x) => ups.map((y) => ({ x, y })));
}

/** Multiples of a size by which a range comes into 0 … size, or within a reach of it. */
function multiplesInto(values: readonly number[], size: number, reach: number): readonly number[] {
  const most = values.reduce((high, value) => Math.max(high, value), -Infinity);
  const least = values.reduce((low, value) => Math.min(low, value), Infinity);
  const first = -Math.floor((most + reach) / size);
  const last = -Math.floor((least - reach) / size);
  return Array.from({ length: last - first + 1 }, (_, at) => (first + at) * size);
}
