import { useEffect, useMemo, useRef } from 'react';
import { seenFromBehind } from '../../core/design/behind.ts';
import { kindFor } from '../../core/design/constructions.ts';
import { inThreads } from '../../core/design/design-facts.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { pitchOf } from '../../core/design/lay.ts';
import { threadCount } from '../../core/thread/sequence.ts';
import { usePixelRatio } from '../../kit/use-pixel-ratio.ts';
import { watchSize } from '../../kit/use-size.ts';
import { sequenceOf } from '../state/band-edits.ts';
import { problemOf } from '../state/bench-state.ts';
import { useBenchState, useDesign } from '../state/bench-store.ts';
import { settleCamera } from './cloth-actions.ts';
import {
  type Camera,
  type ClothGeometry,
  centre,
  firstWidth,
  fitThree,
  layGeometry,
  MOST_FIRST,
  nextLevel,
  pickRatio,
  zoomAbout,
} from './cloth-camera.ts';
import { useCloth } from './cloth-store.ts';
import { type Box, drawCloth } from './draw-cloth.ts';
import { panCloth } from './pan-cloth.ts';
import { useClothPainter } from './use-cloth-painter.ts';
import { useThreadLook } from './use-thread-look.ts';

/** Turns of the wheel, in its pixels, that make one level. */
const WHEEL_LEVEL = 50;

/**
 * The cloth: the painted repeat as an endless fill; the wheel zooms about the pointer, a drag pans.
 * @param children  what is laid over it, to be taken hold of
 */
export function Cloth({ children }: { children?: React.ReactNode }) {
  const design = useDesign();
  const problem = useBenchState(problemOf);
  const { view, camera, repeat, outlineRepeat, outlineUnit, fade, proof, behind, marks } = useCloth();
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

  useEffect(() => {
    if (camera !== undefined || repeat === undefined || view.width === 0) return;
    const perEnd = threads
      ? firstWidth(view, repeat, ratio, threadCount(sequenceOf(design, 'warp')))
      : fitThree(view, repeat, ratio, pixelRatio, false);
    useCloth.setState({ camera: settleCamera(centre(view, repeat, perEnd, ratio)) });
  }, [camera, repeat, view, ratio, design, threads, pixelRatio]);

  useEffect(() => {
    if (patch === undefined || geometry === undefined || view.width === 0) return;
    const element = canvas.current!;
    const [width, height] = [Math.round(view.width * pixelRatio), Math.round(view.height * pixelRatio)];
    if (element.width !== width) element.width = width;
    if (element.height !== height) element.height = height;
    const laidOut = threads
      ? {
          ends: threadCount(sequenceOf(design, 'warp')),
          picks: threadCount(sequenceOf(design, 'weft')),
        }
      : repeat!;
    const unit = boxOf(placed, geometry, laidOut);
    drawCloth(element.getContext('2d')!, {
      view,
      pixelRatio,
      camera: placed,
      geometry,
      patch,
      repeat: outlineRepeat && repeat !== undefined ? boxOf(placed, geometry, repeat) : undefined,
      unit: outlineUnit ? unit : undefined,
      fade,
      fadeAround: unit,
    });
    element.dataset['patch'] = String(patch.serial);
    element.dataset['painted'] = String(Number(element.dataset['painted'] ?? 0) + 1);
  }, [patch, geometry, view, placed, pixelRatio, outlineRepeat, outlineUnit, fade, repeat, design, threads]);

  useWheel(host, pixelRatio, threads);
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
      />
      {children}
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

function boxOf(
  camera: Camera,
  { stepX, stepY }: ClothGeometry,
  threads: { ends: number; picks: number },
): Box {
  const [width, height] = [threads.ends * stepX, threads.picks * stepY];
  return { left: camera.x, top: camera.y - height, width, height };
}

function useWheel(host: React.RefObject<HTMLDivElement | null>, pixelRatio: number, threads: boolean): void {
  useEffect(() => {
    const element = host.current!;
    let turned = 0;
    const wheel = (event: WheelEvent) => {
      event.preventDefault();
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
