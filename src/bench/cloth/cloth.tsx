import { useEffect, useMemo, useRef } from 'react';
import { seenFromBehind } from '../../core/design/behind.ts';
import { kindFor } from '../../core/design/constructions.ts';
import { inThreads } from '../../core/design/design-facts.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { pitchOf } from '../../core/design/lay/lay-schema.ts';
import { usePixelRatio } from '../../kit/use-pixel-ratio.ts';
import { watchSize } from '../../kit/use-size.ts';
import { problemOf } from '../state/bench-state.ts';
import { useBenchState, useDesign } from '../state/bench-store.ts';
import { layGeometry, MOST_FIRST, pickRatio } from './cloth-camera.ts';
import { pressClothKey } from './cloth-keys.ts';
import { useCloth } from './cloth-store.ts';
import { panCloth } from './pan-cloth.ts';
import { useClothDrawing } from './use-cloth-drawing.ts';
import { useClothPainter } from './use-cloth-painter.ts';
import { useFirstCamera } from './use-first-camera.ts';
import { usePinchZoom } from './use-pinch-zoom.ts';
import { useThreadLook } from './use-thread-look.ts';
import { useWheel } from './use-wheel.ts';
import { ZoomButtons } from './zoom-buttons.tsx';

/**
 * The cloth: the painted repeat as an endless fill; wheel and pinch zoom about the pointer, a drag pans.
 * @param children  what is laid over it, to be taken hold of
 */
export function Cloth({ children }: { children?: React.ReactNode }) {
  const design = useDesign();
  const problem = useBenchState(problemOf);
  const { view, camera, repeat, proof, behind, marks } = useCloth();
  const pixelRatio = usePixelRatio();
  const threads = inThreads(design);
  const ratio = threads ? pickRatio(pitchOf(design.lay)) : 1;
  const host = useRef<HTMLDivElement>(null);
  const canvas = useRef<HTMLCanvasElement>(null);

  useEffect(() => watchSize(host.current!, (size) => useCloth.setState({ view: size })), []);

  useEffect(() => useCloth.setState({ ratio }), [ratio]);

  const placed = useMemo(() => camera ?? { x: 0, y: view.height, perEnd: MOST_FIRST }, [camera, view.height]);
  const seen = useMemo(() => (behind ? seenFromBehind(design) : design), [behind, design]);
  const look = useThreadLook(seen, placed.perEnd);
  const wish = useMemo(
    () => ({
      onBench: design,
      design: seen,
      proof,
      marks,
      threads: look,
      perEnd: placed.perEnd,
      ratio,
      pixelRatio,
      camera: placed,
      view,
    }),
    [design, seen, proof, marks, look, ratio, pixelRatio, placed, view],
  );
  const patch = useClothPainter(wish);
  const geometry = useMemo(
    () => repeat && layGeometry(repeat, placed.perEnd, ratio, pixelRatio),
    [repeat, placed.perEnd, ratio, pixelRatio],
  );

  useFirstCamera(design, pixelRatio);
  useClothDrawing(canvas, { design, camera: placed, geometry, patch, pixelRatio });
  useWheel(host, pixelRatio, threads);
  usePinchZoom(host, pixelRatio, threads);
  return (
    <div
      ref={host}
      className={`relative min-h-0 min-w-0 touch-none overflow-hidden bg-linen ${showsThrough(design) ? 'clear-ground' : ''}`}
    >
      <canvas
        ref={canvas}
        tabIndex={0}
        role="img"
        aria-label={`Cloth of ${design.name}`}
        className="-outline-offset-4 block h-full w-full cursor-grab active:cursor-grabbing"
        onPointerDown={(event) => panCloth(event)}
        onKeyDown={pressClothKey}
      />
      {children}
      <ZoomButtons />
      {problem !== undefined && (
        <p
          role="alert"
          className="absolute inset-x-6 bottom-5 rounded-lg border border-madder/40 bg-paper px-4 py-3 text-madder shadow"
        >
          {problem}
        </p>
      )}
    </div>
  );
}

/** Whether some of the cloth is left clear. */
function showsThrough({ construction }: Design): boolean {
  return kindFor(construction).isClear(construction);
}
