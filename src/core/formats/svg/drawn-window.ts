import type { Place } from '../../shape/places.ts';

/**
 * What of the endless cloth is drawn: so many whole repeats to the right and downward of the first one's upper left corner,
 * and a margin around them.
 */
export interface DrawnWindow {
  readonly across: number;
  readonly down: number;
  /** In millimetres. */
  readonly margin: number;
}

export const ONE_REPEAT: DrawnWindow = { across: 1, down: 1, margin: 0 };

/**
 * Whole repeats by which a stretch is moved to come into the window, the first and the last.
 * @param repeat  millimetres
 * @param count   repeats that the window holds in the direction in which the stretch is counted
 */
export function repeatsToMove(
  least: number,
  most: number,
  repeat: number,
  { count, margin }: { readonly count: number; readonly margin: number },
): readonly [first: number, last: number] {
  return [-Math.floor((most + margin) / repeat), count - 1 - Math.floor((least - margin) / repeat)];
}

/**
 * By how much a shape has to be moved to come into the window.
 * @param places  in millimetres from the first repeat's upper left corner, y downward
 * @param reach   how far it reaches beyond its places
 */
export function shiftsIntoWindow(
  places: readonly Place[],
  pitch: Place,
  window: DrawnWindow,
  reach: number,
): readonly Place[] {
  if (places.length === 0) return [];
  const margin = window.margin + reach;
  const rangeOf = (values: readonly number[], repeat: number, count: number) =>
    repeatsToMove(Math.min(...values), Math.max(...values), repeat, { count, margin });
  const [left, right] = rangeOf(
    places.map(({ x }) => x),
    pitch.x,
    window.across,
  );
  const [top, bottom] = rangeOf(
    places.map(({ y }) => y),
    pitch.y,
    window.down,
  );
  const shifts: Place[] = [];
  for (let across = left; across <= right; across += 1) {
    for (let down = top; down <= bottom; down += 1) shifts.push({ x: across * pitch.x, y: down * pitch.y });
  }
  return shifts;
}
