import { useEffect } from 'react';
import { settleCamera } from './cloth-actions.ts';
import { nextLevel, zoomAbout } from './cloth-camera.ts';
import { useCloth } from './cloth-store.ts';

/** Turns of the wheel, in its pixels, that make one level. */
const WHEEL_LEVEL = 50;

/** Zooms about the pointer by the wheel. */
export function useWheel(
  host: React.RefObject<HTMLDivElement | null>,
  pixelRatio: number,
  threads: boolean,
): void {
  useEffect(() => {
    const element = host.current!;
    let turned = 0;
    const wheel = (event: WheelEvent) => {
      event.preventDefault();
      // With Ctrl it is a pinch on a trackpad.
      if (event.ctrlKey) return;
      turned += event.deltaMode === 0 ? event.deltaY : event.deltaY * 30;
      const { camera } = useCloth.getState();
      if (camera === undefined || Math.abs(turned) < WHEEL_LEVEL) return;
      const box = element.getBoundingClientRect();
      const point = { x: event.clientX - box.left, y: event.clientY - box.top };
      const perEnd = nextLevel(camera.perEnd, turned < 0 ? 1 : -1, pixelRatio, threads);
      turned = 0;
      useCloth.setState({ camera: settleCamera(zoomAbout(camera, point, perEnd)) });
    };
    element.addEventListener('wheel', wheel, { passive: false });
    return () => element.removeEventListener('wheel', wheel);
  }, [host, pixelRatio, threads]);
}
