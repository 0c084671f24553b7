import type { Point } from '../exact/plane.ts';
import type { Rational } from '../exact/rational.ts';

/** How lines end and meet: rounded; drawn out to a point, or past their end by half their width; or cut off. */
export type LineEnds = 'round' | 'sharp' | 'flat';

/** A line through points in repeats; a closed one goes on from the last to the first. */
export interface LinePath {
  readonly points: readonly Point[];
  readonly closed: boolean;
}

/** Lines of one width, in millimetres. */
export interface Stroke {
  readonly kind: 'stroke';
  readonly paths: readonly LinePath[];
  readonly width: Rational;
  readonly ends: LineEnds;
}

/** A convex polygon made smaller by a distance from every side, its corners rounded, both in millimetres. */
export interface Inset {
  /** In repeats, counterclockwise. */
  readonly corners: readonly Point[];
  readonly by: Rational;
  readonly corner: Rational;
}

/** What is left of everything when some parts are taken away; these do not overlap. */
export interface Cut {
  readonly kind: 'cut';
  readonly from: 'all';
  readonly parts: readonly Inset[];
}

/** An exact shape on the torus of one repeat, y upward. It comes again in every repeat. */
export type Shape = Stroke | Cut;

/** A shape in one shade, an index into the shades of what it lies over. */
export interface Mark {
  readonly shape: Shape;
  readonly shade: number;
}
