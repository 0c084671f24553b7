import { hullOf } from './contour.ts';
import type { Figure } from './figure.ts';
import type { Place } from './places.ts';

/** All places that a figure is made by, in their order. */
export function placesOfFigure(figure: Figure): readonly Place[] {
  switch (figure.kind) {
    case 'outline':
      return figure.contours.flatMap(hullOf);
    case 'line':
      return hullOf(figure.contour);
    case 'edge':
    case 'grown':
    case 'rounded':
      return placesOfFigure(figure.of);
    case 'join':
    case 'cut':
    case 'overlap':
      return figure.parts.flatMap(placesOfFigure);
    default:
      return figure satisfies never;
  }
}
