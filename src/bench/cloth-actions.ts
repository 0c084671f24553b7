import { pitchOf } from '../core/design/compile-design.ts';
import { toNumber } from '../core/exact/rational.ts';
import { benchState } from './bench-store.ts';
import { type Camera, centre, fitThree, layGeometry, reanchor, zoomAbout } from './cloth-camera.ts';
import { calibration, NOMINAL_PIXELS_PER_MM, useCloth } from './cloth-store.ts';

/** The camera on the repeat in the middle of the view. */
export function settleCamera(camera: Camera): Camera {
  const { view, repeat, ratio } = useCloth.getState();
  if (repeat === undefined || view.width === 0) return camera;
  const geometry = layGeometry(repeat, camera.perEnd, ratio, window.devicePixelRatio);
  return reanchor(camera, view, geometry, repeat);
}

/** Zooms about the middle of the view. */
export function zoomTo(perEnd: number): void {
  const { camera, view } = useCloth.getState();
  if (camera === undefined) return;
  const middle = { x: view.width / 2, y: view.height / 2 };
  useCloth.setState({ camera: settleCamera(zoomAbout(camera, middle, perEnd)) });
}

/** As large as it will be woven or printed, on this monitor. */
export function zoomToTrueSize(): void {
  const { x } = pitchOf(benchState().history.present.lay);
  zoomTo(toNumber(x) * (calibration() ?? NOMINAL_PIXELS_PER_MM));
}

/** One thread for one pixel of this monitor. */
export function zoomToPixels(): void {
  zoomTo(1 / window.devicePixelRatio);
}

/** Three repeats in the view. */
export function zoomToThree(): void {
  const { view, repeat, ratio } = useCloth.getState();
  if (repeat === undefined) return;
  const perEnd = fitThree(view, repeat, ratio, window.devicePixelRatio);
  useCloth.setState({ camera: settleCamera(centre(view, repeat, perEnd, ratio)) });
}
