import type { Point } from '../exact/plane.ts';
import type { Rational } from '../exact/rational.ts';
import type { FadeWay } from './fade-way.ts';
import type { Figure } from './figure.ts';
import type { ShownPicture } from './picture.ts';

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

/** A band inside the edge of a polygon: what lies between an inset and one that is smaller. */
export interface Frame extends Inset {
  /** The larger inset; its corners are those of the smaller one. */
  readonly outer: Omit<Inset, 'corners'>;
}

/** Bands inside the edges of polygons that do not overlap. */
export interface Frames {
  readonly kind: 'frames';
  readonly parts: readonly Frame[];
}

/** A figure in millimetres from the lower left of the repeat. Its copies in other repeats lie over or under it by row. */
export interface PlacedFigure {
  readonly kind: 'figure';
  readonly figure: Figure;
  /** The row that it belongs to, where rows lie over each other; else 0. */
  readonly row: number;
  /** What it is part of: copies of one piece lie over each other as wholes. */
  readonly piece: number;
  /** Whether it goes on into other repeats: all its copies are one shape, whose rows do not lie over each other. */
  readonly endless: boolean;
}

/** An exact shape on the torus of one repeat, y upward: all its copies are one. */
export type TorusShape = Stroke | Cut | Frames;

/** It comes again in every repeat. */
export type Shape = TorusShape | PlacedFigure;

/** Shades, by their indexes, that go over into each other at even steps along a way. */
export interface MarkFade {
  readonly shades: readonly number[];
  readonly way: FadeWay;
}

/** Blurred by a Gaussian of a standard deviation in millimetres, and laid at a strength of 0 … 1. */
export interface Softness {
  readonly deviation: number;
  readonly strength: number;
}

/** A shape in one shade, an index into the shades of what it lies over. A figure may fade, be soft, or show a picture. */
export interface Mark {
  readonly shape: Shape;
  /** With a fade, the shade that it is known by; null for none, beneath a picture. */
  readonly shade: number | null;
  readonly fade?: MarkFade;
  /** Over the shade or the fade; its place is in millimetres. */
  readonly picture?: ShownPicture;
  readonly soft?: Softness;
}
