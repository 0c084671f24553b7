import { inThreads } from '../../core/design/design-facts.ts';
import { toNumber } from '../../core/exact/rational.ts';
import { parseResolution } from '../../core/units/resolution.ts';
import { benchState } from '../state/bench-store.ts';
import {
  type Camera,
  centre,
  fitThree,
  layGeometry,
  nextLevel,
  reanchor,
  zoomAbout,
} from './cloth-camera.ts';
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

/** Zooms by one level about the middle of the view. */
export function zoomByLevel(direction: 1 | -1): void {
  const { camera } = useCloth.getState();
  if (camera === undefined) return;
  const threads = inThreads(benchState().history.present);
  zoomTo(nextLevel(camera.perEnd, direction, window.devicePixelRatio, threads));
}

/** Pans the cloth by CSS pixels, right and down. */
export function panBy(x: number, y: number): void {
  const { camera } = useCloth.getState();
  if (camera === undefined) return;
  useCloth.setState({ camera: settleCamera({ ...camera, x: camera.x + x, y: camera.y + y }) });
}

/** As large as it will be woven or printed, on this monitor. */
export function zoomToTrueSize(): void {
  const millimetres = useCloth.getState().repeat?.step ?? 1;
  zoomTo(millimetres * (calibration() ?? NOMINAL_PIXELS_PER_MM));
}

/** One thread, or one pixel of the picture that is sent, for one pixel of this monitor. */
export function zoomToPixels(): void {
  const design = benchState().history.present;
  const perMillimetre = toNumber(parseResolution(design.resolution)) / 25.4;
  zoomTo((inThreads(design) ? 1 : perMillimetre) / window.devicePixelRatio);
}

/** Three repeats in the view. */
export function zoomToThree(): void {
  const { view, repeat, ratio } = useCloth.getState();
  if (repeat === undefined) return;
  const threads = inThreads(benchState().history.present);
  const perEnd = fitThree(view, repeat, ratio, window.devicePixelRatio, threads);
  useCloth.setState({ camera: settleCamera(centre(view, repeat, perEnd, ratio)) });
}
