import { usePinch } from '@use-gesture/react';
import type { RefObject } from 'react';
import { settleCamera } from './cloth-actions.ts';
import { type Camera, nearestLevel, zoomAbout } from './cloth-camera.ts';
import { useCloth } from './cloth-store.ts';

/** Zooms about the middle between two fingers, or by a pinch on a trackpad. */
export function usePinchZoom(
  host: RefObject<HTMLDivElement | null>,
  pixelRatio: number,
  threads: boolean,
): void {
  usePinch(
    ({ first, last, movement: [scale], origin, memo }) => {
      const before = (first ? useCloth.getState().camera : memo) as Camera | undefined;
      useCloth.setState({ pinching: !last });
      if (before === undefined || host.current === null) return before;
      const box = host.current.getBoundingClientRect();
      const point = { x: origin[0] - box.left, y: origin[1] - box.top };
      const perEnd = nearestLevel(before.perEnd * scale, pixelRatio, threads);
      useCloth.setState({ camera: settleCamera(zoomAbout(before, point, perEnd)) });
      return before;
    },
    { target: host, eventOptions: { passive: false }, pointer: { touch: true } },
  );
}
