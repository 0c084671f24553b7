import type { Place } from '../../core/shape/places.ts';
import { layGeometry } from './cloth-camera.ts';
import { useCloth } from './cloth-store.ts';

/** Between the cloth's millimetres, from the lower left corner of its repeat, and the view's pixels. */
export interface ClothPlaces {
  readonly toView: (place: Place) => Place;
  readonly toCloth: (point: Place) => Place;
  readonly perMillimetre: number;
}

/** How cloth that is measured in millimetres, as it was built, lies in the view; undefined while there is none. */
export function useClothView(): ClothPlaces | undefined {
  const { camera, repeat, ratio } = useCloth();
  if (camera === undefined || repeat === undefined) return undefined;
  const geometry = layGeometry(repeat, camera.perEnd, ratio, window.devicePixelRatio);
  const stepX = geometry.stepX * repeat.factor;
  const stepY = geometry.stepY * repeat.factor;
  return {
    toView: ({ x, y }) => ({ x: camera.x + x * stepX, y: camera.y - y * stepY }),
    toCloth: ({ x, y }) => ({ x: (x - camera.x) / stepX, y: (camera.y - y) / stepY }),
    perMillimetre: stepX,
  };
}
