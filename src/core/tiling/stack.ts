import type { Point } from '../exact/plane.ts';
import type { Rational } from '../exact/rational.ts';
import type { Partition } from './partition.ts';

/** How lines end and meet: rounded; drawn out to a point, or past their end by half their width; or cut off. */
export type LineEnds = 'round' | 'sharp' | 'flat';

/** A line through points in repeats; a closed one goes on from the last to the first. */
export interface LinePath {
  readonly points: readonly Point[];
  readonly closed: boolean;
}

/** Lines of one width, in millimetres, and one shade. */
export interface LinesLayer {
  readonly kind: 'lines';
  readonly paths: readonly LinePath[];
  readonly width: Rational;
  readonly ends: LineEnds;
  readonly shade: number;
}

/** All that is left between faces when each is taken in by a distance and its corners are rounded, in millimetres. */
export interface GapsLayer {
  readonly kind: 'gaps';
  /** Corners in repeats, counterclockwise; convex. */
  readonly faces: readonly (readonly Point[])[];
  readonly by: Rational;
  readonly corner: Rational;
  readonly shade: number;
}

/** Shades that go over into each other at even steps along a way, in the place of the one shade of each of some faces. */
export interface FadeLayer {
  readonly kind: 'fade';
  readonly faces: readonly (FadedFace & {
    /** The base's shade that lies there. */
    readonly instead: number;
  })[];
  readonly shades: readonly number[];
}

/** A face's corners in repeats, and the way from its first shade to its last, of the same length as it is seen along it. */
export interface FadedFace {
  readonly corners: readonly Point[];
  readonly from: { readonly x: number; readonly y: number };
  readonly to: { readonly x: number; readonly y: number };
}

export type Layer = LinesLayer | GapsLayer | FadeLayer;

/** Layers in painting order over polygons that cover everything. */
export interface Stack {
  readonly kind: 'stack';
  readonly base: Partition;
  readonly layers: readonly Layer[];
}
