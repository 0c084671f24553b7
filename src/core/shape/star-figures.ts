import { CoreError } from '../error.ts';
import type { Figure } from './figure.ts';
import type { Place } from './places.ts';
import { polygonFigure } from './round-figures.ts';

/** The radius of a regular polygon by its own radius, its side, or its width across flats. */
export function polygonRadius(sides: number, measured: 'radius' | 'side' | 'flats', size: number): number {
  switch (measured) {
    case 'radius':
      return size;
    case 'side':
      return size / (2 * Math.sin(Math.PI / sides));
    case 'flats':
      // Twice the inner radius; with an odd number of sides a corner stands across from each flat.
      return sides % 2 === 0
        ? size / (2 * Math.cos(Math.PI / sides))
        : size / (1 + Math.cos(Math.PI / sides));
    default:
      return measured satisfies never;
  }
}

/** A place on a circle, counted in parts of a whole turn from the top counterclockwise. */
function onCircle(radius: number, part: number): Place {
  const angle = Math.PI / 2 + 2 * Math.PI * part;
  return { x: radius * Math.cos(angle), y: radius * Math.sin(angle) };
}

/** A corner at the top. */
export function regularPolygon(sides: number, radius: number): Figure {
  return polygonFigure(Array.from({ length: sides }, (_, at) => onCircle(radius, at / sides)));
}

/** A point at the top, corners between points on an inner circle. @throws CoreError "figure/inner" {inner, most} */
export function starByRadii({
  points,
  outer,
  inner,
}: {
  points: number;
  outer: number;
  inner: number;
}): Figure {
  if (inner >= outer) throw new CoreError('figure/inner', { inner, most: outer });
  return polygonFigure(
    Array.from({ length: 2 * points }, (_, at) => onCircle(at % 2 === 0 ? outer : inner, at / (2 * points))),
  );
}

/**
 * The outline of the star n/k, whose sides join each of n corners with the k-th after it. Its inner corners lie on
 * radius × cos(πk/n) / cos(π(k − 1)/n). H. S. M. Coxeter, Regular Polytopes, 1948, §2.8.
 *
 * @throws CoreError "figure/star" {points, skip} unless k is below half of n
 */
export function starByStep({
  points,
  skip,
  radius,
}: {
  points: number;
  skip: number;
  radius: number;
}): Figure {
  if (skip >= points / 2) throw new CoreError('figure/star', { points, skip });
  const inner = (radius * Math.cos((Math.PI * skip) / points)) / Math.cos((Math.PI * (skip - 1)) / points);
  return starByRadii({ points, outer: radius, inner });
}
