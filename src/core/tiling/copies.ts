import type { Place } from './taken-in.ts';

/**
 * A shape wherever it comes into the first repeat, or within a reach of it.
 * @param size  of one repeat, in the unit of the places
 */
export function copiesIn(
  places: readonly Place[],
  size: Place,
  reach: number,
): readonly (readonly Place[])[] {
  if (places.length === 0) return [];
  const rights = shiftsInto(
    places.map(({ x }) => x),
    size.x,
    reach,
  );
  const ups = shiftsInto(
    places.map(({ y }) => y),
    size.y,
    reach,
  );
  return rights.flatMap((right) => ups.map((up) => places.map(({ x, y }) => ({ x: x + right, y: y + up }))));
}

/** Multiples of a size by which a range comes into 0 … size, or within a reach of it. */
function shiftsInto(values: readonly number[], size: number, reach: number): readonly number[] {
  const first = -Math.floor((Math.max(...values) + reach) / size);
  const last = -Math.floor((Math.min(...values) - reach) / size);
  return Array.from({ length: last - first + 1 }, (_, at) => (first + at) * size);
}
