import type { Box } from '../../../core/shape/figure-box.ts';
import type { Place } from '../../../core/shape/places.ts';
import type { Size } from '../../../kit/use-size.ts';

/** How a scene is looked at: so large that it fits, or where somebody went. */
export type SceneCamera = { readonly kind: 'fitted' } | ({ readonly kind: 'placed' } & ScenePlace);

/** CSS pixels of a millimetre, and the place of the drawing at the view's upper left. */
export interface ScenePlace {
  readonly perMillimetre: number;
  readonly corner: Place;
}

export const FITTED: SceneCamera = { kind: 'fitted' };

/** CSS pixels left free around what fits. */
const MARGIN = 64;

/** CSS pixels of a millimetre, at the least and at the most. */
const LEAST = 0.005;
const MOST = 60;

/** Where a camera is in a view. @param bounds  of all that is drawn */
export function placeOf(camera: SceneCamera, bounds: Box, view: Size): ScenePlace {
  if (camera.kind === 'placed') return camera;
  const wide = bounds.right - bounds.left;
  const high = bounds.top - bounds.bottom;
  const room = {
    width: Math.max(40, view.width - 2 * MARGIN),
    height: Math.max(40, view.height - 2 * MARGIN),
  };
  const perMillimetre = Math.min(room.width / wide, room.height / high, MOST);
  return {
    perMillimetre,
    corner: {
      x: (bounds.left + bounds.right) / 2 - view.width / 2 / perMillimetre,
      y: (bounds.bottom + bounds.top) / 2 + view.height / 2 / perMillimetre,
    },
  };
}

export function toView({ perMillimetre, corner }: ScenePlace, { x, y }: Place): Place {
  return { x: (x - corner.x) * perMillimetre, y: (corner.y - y) * perMillimetre };
}

export function toScene({ perMillimetre, corner }: ScenePlace, { x, y }: Place): Place {
  return { x: corner.x + x / perMillimetre, y: corner.y - y / perMillimetre };
}

/** Nearer or farther, the place under a point of the view staying where it is. */
export function zoomedAbout(place: ScenePlace, point: Place, times: number): SceneCamera {
  const perMillimetre = Math.min(MOST, Math.max(LEAST, place.perMillimetre * times));
  const still = toScene(place, point);
  return {
    kind: 'placed',
    perMillimetre,
    corner: { x: still.x - point.x / perMillimetre, y: still.y + point.y / perMillimetre },
  };
}

/** Moved along with a pointer. */
export function pannedBy({ perMillimetre, corner }: ScenePlace, by: Place): SceneCamera {
  return {
    kind: 'placed',
    perMillimetre,
    corner: { x: corner.x - by.x / perMillimetre, y: corner.y + by.y / perMillimetre },
  };
}

/** A scale as drawings write it. @param perTrue  CSS pixels of a millimetre of this monitor */
export function scaleText(perMillimetre: number, perTrue: number): string {
  const smaller = perTrue / perMillimetre;
  return smaller >= 1
    ? `1 : ${Number(smaller.toPrecision(3))}`
    : `${Number((1 / smaller).toPrecision(3))} : 1`;
}
