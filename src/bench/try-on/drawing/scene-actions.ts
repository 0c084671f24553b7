import { calibration, NOMINAL_PIXELS_PER_MM } from '../../cloth/cloth-store.ts';
import { useTryOn } from '../try-on-store.ts';
import { FITTED, placeOf, zoomedAbout } from './scene-camera.ts';

/** CSS pixels of a millimetre on this monitor. */
export function perTrueMillimetre(): number {
  return calibration() ?? NOMINAL_PIXELS_PER_MM;
}

/** All of the drawing in the view. */
export function fitScene(): void {
  useTryOn.setState({ camera: FITTED });
}

/** Nearer or farther, about the middle of the view. */
export function zoomScene(times: number): void {
  const { camera, view, bounds } = useTryOn.getState();
  const place = placeOf(camera, bounds, view);
  const middle = { x: view.width / 2, y: view.height / 2 };
  useTryOn.setState({ camera: zoomedAbout(place, middle, times) });
}

/** The drawing at true size on this monitor. */
export function zoomSceneTrue(): void {
  const { camera, view, bounds } = useTryOn.getState();
  const place = placeOf(camera, bounds, view);
  zoomScene(perTrueMillimetre() / place.perMillimetre);
}
