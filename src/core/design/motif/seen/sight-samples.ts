import type { Grid } from '../../../shape/grid.ts';
import type { Place } from '../../../shape/places.ts';
import { folded, type OutlinedCopy, placesBeside, uppermostOf } from './uppermost.ts';

/** Places of a repeat that are looked at first, wherever they lie. */
const SAMPLES = 96;

/** Parts of the grid by which places lie beside an edge, and from any edge that may be rounded to its other side. */
const BESIDE = 64;
const ROUNDED = 16;

/** Outlines in one paint, wherever they come into a repeat, in parts of the grid. */
export interface PaintedCopy extends OutlinedCopy {
  /** Undefined for that of the ground. */
  readonly paint: string | undefined;
}

/** Whether a map of the grid's parts carries what is painted onto itself. */
export type IsCarried = (map: (place: Place) => Place) => boolean;

/**
 * Tells maps that carry painted copies onto themselves by places: some all over the repeat, and some on both sides of every
 * edge. Each has to come to lie in the paint that it lies in; a map that keeps areas carries every edge that is seen onto
 * an edge then. What is less than `BESIDE` parts wide is not told apart.
 *
 * @param copies  the uppermost first
 */
export function carriedBy(copies: readonly PaintedCopy[], grid: Grid): IsCarried {
  const { width, height } = grid;
  const uppermost = uppermostOf(copies, grid, ROUNDED);
  const paintAt = (place: Place) => {
    const copy = uppermost.at(folded(place, grid));
    return copy === undefined ? undefined : copies[copy]!.paint;
  };
  const sample = (place: Place) => ({ place, paint: paintAt(place) });
  const isNear = (place: Place) => {
    const { x, y } = folded(place, grid);
    const border = Math.min(x, width - x, y, height - y);
    return border < ROUNDED || uppermost.isNearEdge({ x, y });
  };
  const everywhere = Array.from({ length: SAMPLES }, (_, at) =>
    sample({ x: Math.round(width * halton(at + 1, 2)), y: Math.round(height * halton(at + 1, 3)) }),
  );
  let beside: ReturnType<typeof sample>[] | undefined;
  return (map) => {
    const carries = ({ place, paint }: ReturnType<typeof sample>) => {
      const to = map(place);
      return paintAt(to) === paint || isNear(to) || isNear(place);
    };
    if (!everywhere.every(carries)) return false;
    beside ??= placesBeside(copies, grid, BESIDE).flatMap(({ left, right }) => [sample(left), sample(right)]);
    return beside.every(carries);
  };
}

/** Numbers of 0 … 1 that fill it evenly. J. H. Halton, Numerische Mathematik 2 (1960) 84–90. */
function halton(index: number, base: number): number {
  let part = 1;
  let value = 0;
  for (let rest = index; rest > 0; rest = Math.floor(rest / base)) {
    part /= base;
    value += part * (rest % base);
  }
  return value;
}
