import { usePinch } from '@use-gesture/react';
import { type RefObject, useEffect } from 'react';
import type { Place } from '../../../core/shape/places.ts';
import { useTryOn } from '../try-on-store.ts';
import { placeOf, type ScenePlace, zoomedAbout } from './scene-camera.ts';

/** Turns of the wheel, in its pixels, after which what is seen is twice as large. */
const DOUBLED = 240;

/** Zooms about the pointer by the wheel, and about the middle between two fingers. */
export function useSceneZoom(host: RefObject<HTMLDivElement | null>): void {
  useEffect(() => {
    const element = host.current!;
    const wheel = (event: WheelEvent) => {
      event.preventDefault();
      // With Ctrl it is a pinch on a trackpad.
      if (event.ctrlKey) return;
      const turned = event.deltaMode === 0 ? event.deltaY : event.deltaY * 30;
      const point = pointIn(element, { x: event.clientX, y: event.clientY });
      useTryOn.setState({ camera: zoomedAbout(placeNow(), point, 2 ** (-turned / DOUBLED)) });
    };
    element.addEventListener('wheel', wheel, { passive: false });
    return () => element.removeEventListener('wheel', wheel);
  }, [host]);
  usePinch(
    ({ first, movement: [scale], origin: [x, y], memo }) => {
      const before = first ? placeNow() : (memo as ScenePlace);
      if (host.current !== null) {
        const point = pointIn(host.current, { x, y });
        useTryOn.setState({ camera: zoomedAbout(before, point, scale) });
      }
      return before;
    },
    { target: host, eventOptions: { passive: false }, pointer: { touch: true } },
  );
}

function placeNow(): ScenePlace {
  const { camera, bounds, view } = useTryOn.getState();
  return placeOf(camera, bounds, view);
}

function pointIn(element: HTMLElement, { x, y }: Place): Place {
  const box = element.getBoundingClientRect();
  return { x: x - box.left, y: y - box.top };
}
