import type { Place } from './places.ts';

/** A piece of a circle, counterclockwise with y upward. */
export interface Arc {
  readonly middle: Place;
  readonly radius: number;
  /** Angles in radians; `to` is not below `from`. */
  readonly from: number;
  readonly to: number;
}

/** What outlines are told to, piece by piece: a path of a file, or polygons to be painted. */
export interface Sink {
  readonly move: (place: Place) => void;
  readonly line: (place: Place) => void;
  /** Goes on from where the arc begins. */
  readonly arc: (arc: Arc) => void;
  readonly close: () => void;
}

/** Where an arc is at an angle. */
export function onArc({ middle, radius }: Pick<Arc, 'middle' | 'radius'>, angle: number): Place {
  return { x: middle.x + radius * Math.cos(angle), y: middle.y + radius * Math.sin(angle) };
}
