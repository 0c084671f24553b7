import type { Place } from '../../shape/places.ts';

/** Degrees by which a face's first side rises. */
export function firstSide([first, second]: readonly Place[]): number {
  return (Math.atan2(second!.y - first!.y, second!.x - first!.x) * 180) / Math.PI;
}
