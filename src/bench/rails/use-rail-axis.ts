import { useMemo } from 'react';
import type { Direction } from '../../core/design/construction.ts';
import { layGeometry } from '../cloth/cloth-camera.ts';
import { useCloth } from '../cloth/cloth-store.ts';
import { measuresOf } from '../state/band-edits.ts';
import { useDesign } from '../state/bench-store.ts';
import { axisOfStripe, axisOfThreads, type RailAxis } from './rail-geometry.ts';

/** Where the rail's sequence lies, once the cloth is placed. */
export function useRailAxis(direction: Direction, threads: number, turn: number): RailAxis | undefined {
  const { camera, repeat, ratio, view } = useCloth();
  const design = useDesign();
  return useMemo(() => {
    if (camera === undefined || repeat === undefined) return undefined;
    const geometry = layGeometry(repeat, camera.perEnd, ratio, window.devicePixelRatio);
    const isAlone = design.lay.arrangement.kind !== 'straight';
    const own = isAlone ? { ends: threads, picks: threads } : repeat;
    const place = { direction, camera, repeat: own, view, geometry, threads };
    const slope = measuresOf(design)?.slope;
    return slope === undefined ? axisOfThreads({ ...place, turn }) : axisOfStripe(place, slope);
  }, [camera, repeat, ratio, view, design, direction, threads, turn]);
}
