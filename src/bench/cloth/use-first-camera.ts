import { useEffect } from 'react';
import { inThreads } from '../../core/design/design-facts.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { threadCount } from '../../core/thread/sequence.ts';
import { sequenceOf } from '../state/band-edits.ts';
import { settleCamera } from './cloth-actions.ts';
import { centre, firstWidth, fitThree } from './cloth-camera.ts';
import { useCloth } from './cloth-store.ts';

/** Places the cloth when it is first seen: threads as large as they fit, else three repeats. */
export function useFirstCamera(design: Design, pixelRatio: number): void {
  const { camera, repeat, view, ratio } = useCloth();
  const threads = inThreads(design);
  useEffect(() => {
    if (camera !== undefined || repeat === undefined || view.width === 0) return;
    const perEnd = threads
      ? firstWidth(view, repeat, ratio, threadCount(sequenceOf(design, 'warp')))
      : fitThree(view, repeat, ratio, pixelRatio, false);
    useCloth.setState({ camera: settleCamera(centre(view, repeat, perEnd, ratio)) });
  }, [camera, repeat, view, ratio, design, threads, pixelRatio]);
}
