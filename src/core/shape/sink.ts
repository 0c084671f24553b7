import type { Place } from './places.ts';

/** A piece of an ellipse: middle + cos(angle)·across + sin(angle)·up, from one angle to another, either way round. */
export interface Arc {
  readonly middle: Place;
  /** The two half axes, at right angles to each other. */
  readonly across: Place;
  readonly up: Place;
  /** Angles in radians. */
  readonly from: number;
  readonly to: number;
}

/** A cubic Bézier curve from where the outline stands. */
export interface Curve {
  readonly leave: Place;
  readonly arrive: Place;
  readonly to: Place;
}

/** What outlines are told to, piece by piece: a path of a file, or polygons to be painted. */
export interface Sink {
  readonly move: (place: Place) => void;
  readonly line: (place: Place) => void;
  /** Goes on from where the arc begins. */
  readonly arc: (arc: Arc) => void;
  readonly curve: (curve: Curve) => void;
  readonly close: () => void;
}

/** A piece of a circle; counterclockwise, with y upward, where the angle rises. */
export function circleArc(middle: Place, radius: number, from: number, to: number): Arc {
  return { middle, across: { x: radius, y: 0 }, up: { x: 0, y: radius }, from, to };
}

/** Where an arc is at an angle. */
export function onArc({ middle, across, up }: Arc, angle: number): Place {
  const c = Math.cos(angle);
  const s = Math.sin(angle);
  return { x: middle.x + c * across.x + s * up.x, y: middle.y + c * across.y + s * up.y };
}
