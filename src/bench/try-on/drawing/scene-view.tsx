import { useEffect, useMemo, useRef } from 'react';
import { INK } from '../../../core/design/try-on/ink-layers.ts';
import type { SeenWindow } from '../../../core/paint/seen/seen-window.ts';
import type { DrawnLine } from '../../../core/scene/draw-part.ts';
import { PERSON } from '../../../core/scene/whole-drawing.ts';
import { usePixelRatio } from '../../../kit/use-pixel-ratio.ts';
import { watchSize } from '../../../kit/use-size.ts';
import { useDesign } from '../../state/bench-store.ts';
import { tryOnOf, waysToSee } from '../try-on-edits.ts';
import { useTryOn } from '../try-on-store.ts';
import { DimensionNumber } from './dimension-number.tsx';
import { ScaleBar } from './scale-bar.tsx';
import { placeOf, type ScenePlace } from './scene-camera.ts';
import { SceneHandles } from './scene-handles.tsx';
import { DimensionLines, LINE_WIDTHS, pathIn, SceneInk } from './scene-ink.tsx';
import { SceneZoom } from './scene-zoom.tsx';
import { SideBySide } from './side-by-side.tsx';
import { useChosenPart, useDrawnScene } from './use-drawn-scene.ts';
import { type ShownScene, usePaintedScene } from './use-painted-scene.ts';
import { useScenePointer } from './use-scene-pointer.ts';
import { useSceneZoom } from './use-scene-zoom.ts';

/** The scene in all of the cloth's place: as one that is worked on, or several side by side. */
export function SceneView() {
  const design = useDesign();
  const beside = useTryOn((look) => look.beside);
  return beside === 'one' || !waysToSee(design).includes(beside) ? (
    <OneScene />
  ) : (
    <SideBySide beside={beside} />
  );
}

function OneScene() {
  const design = useDesign();
  const drawn = useDrawnScene(design);
  const { camera, view, bend, problem } = useTryOn();
  const host = useRef<HTMLDivElement>(null);
  const canvas = useRef<HTMLCanvasElement>(null);
  const ratio = usePixelRatio();
  const tryOn = tryOnOf(design);
  const bounds = drawn?.whole.bounds;
  const behind = drawn?.whole.behind;
  useEffect(() => watchSize(host.current!, (size) => useTryOn.setState({ view: size })), []);
  useEffect(() => {
    if (bounds !== undefined) useTryOn.setState({ bounds });
  }, [bounds]);
  const place = useMemo(
    () => (bounds === undefined || view.width === 0 ? undefined : placeOf(camera, bounds, view)),
    [camera, bounds, view],
  );
  const wish = useMemo(
    () =>
      place === undefined || drawn?.problem !== undefined
        ? undefined
        : { design, tryOn, window: windowOf(place, view, ratio) },
    [design, tryOn, place, view, ratio, drawn?.problem],
  );
  const painted = usePaintedScene(wish);
  const shown = painted !== undefined && 'value' in painted ? painted.value : undefined;
  useEffect(() => {
    if (painted === undefined) return;
    useTryOn.setState(
      'value' in painted
        ? { facts: painted.value.facts, problem: undefined }
        : { facts: undefined, problem: painted.problem },
    );
  }, [painted]);
  useEffect(() => {
    if (place !== undefined) drawCloth(canvas.current!, { shown, behind, place, view, ratio });
  }, [shown, behind, place, view, ratio]);
  const parts = drawn?.tried.parts ?? [];
  const part = useChosenPart(design, drawn);
  const pointer = useScenePointer({ parts, part, place });
  useSceneZoom(host);
  const wrong = drawn?.problem ?? problem;
  return (
    <div ref={host} className="relative min-h-0 min-w-0 touch-none overflow-hidden bg-paper">
      <canvas
        ref={canvas}
        tabIndex={0}
        role="img"
        aria-label={`${drawn?.tried.scene.name ?? 'Scene'} in ${design.name}`}
        data-scene={shown?.isFine === true ? 'painted' : undefined}
        className="-outline-offset-4 block h-full w-full cursor-grab active:cursor-grabbing"
        {...pointer}
      />
      {place !== undefined && drawn !== undefined && (
        <>
          <svg
            aria-hidden="true"
            className="pointer-events-none absolute inset-0 h-full w-full"
            width={view.width}
            height={view.height}
          >
            <SceneInk whole={drawn.whole} place={place} />
            {part !== undefined && parts.length > 1 && (
              <path
                d={pathIn(place, part.drawn.outline)}
                fill="none"
                className="stroke-woad"
                strokeWidth={3}
                opacity={0.85}
              />
            )}
            <DimensionLines dimensions={drawn.whole.dimensions} place={place} />
          </svg>
          {drawn.whole.dimensions.map((dimension, at) => {
            const number = drawn.tried.scene.numbers.find(({ key }) => key === dimension.number);
            const isPerson = dimension.number === PERSON;
            return (
              <DimensionNumber
                // biome-ignore lint/suspicious/noArrayIndexKey: dimensions have no other names
                key={`${tryOn.scene}-${at}`}
                dimension={dimension}
                tryOn={tryOn}
                label={isPerson ? 'Height of the person' : (number?.label ?? 'Length')}
                usual={number?.usual ?? 0}
                place={place}
              />
            );
          })}
          {part !== undefined && <SceneHandles design={design} part={part} bend={bend} place={place} />}
        </>
      )}
      {place !== undefined && <ScaleBar perMillimetre={place.perMillimetre} />}
      <SceneZoom />
      {wrong !== undefined && (
        <p
          role="alert"
          className="absolute inset-x-6 bottom-14 rounded-lg border border-madder/40 bg-paper px-4 py-3 text-madder shadow"
        >
          {wrong}
        </p>
      )}
    </div>
  );
}

/** What of a drawing fills a view, in device pixels. */
export function windowOf(
  { perMillimetre, corner }: ScenePlace,
  view: { readonly width: number; readonly height: number },
  ratio: number,
): SeenWindow {
  return {
    width: Math.max(1, Math.round(view.width * ratio)),
    height: Math.max(1, Math.round(view.height * ratio)),
    perMillimetre: perMillimetre * ratio,
    corner,
  };
}

interface DrawnCloth {
  readonly shown: ShownScene | undefined;
  readonly behind: readonly DrawnLine[] | undefined;
  readonly place: ScenePlace;
  readonly view: { readonly width: number; readonly height: number };
  readonly ratio: number;
}

/** Draws painted cloth where it belongs, also while the camera has moved on. */
export function drawCloth(
  canvas: HTMLCanvasElement,
  { shown, behind, place, view, ratio }: DrawnCloth,
): void {
  canvas.width = Math.max(1, Math.round(view.width * ratio));
  canvas.height = Math.max(1, Math.round(view.height * ratio));
  const context = canvas.getContext('2d')!;
  context.strokeStyle = INK;
  for (const { weight, lines } of behind ?? []) {
    context.setTransform(ratio, 0, 0, ratio, 0, 0);
    context.lineWidth = LINE_WIDTHS[weight];
    context.stroke(new Path2D(pathIn(place, lines)));
  }
  context.resetTransform();
  if (shown === undefined) return;
  const { window, image } = shown;
  const times = (place.perMillimetre * ratio) / window.perMillimetre;
  const x = (window.corner.x - place.corner.x) * place.perMillimetre * ratio;
  const y = (place.corner.y - window.corner.y) * place.perMillimetre * ratio;
  context.drawImage(image, x, y, window.width * times, window.height * times);
}
