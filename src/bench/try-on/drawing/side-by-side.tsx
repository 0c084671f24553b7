import { useEffect, useMemo, useRef } from 'react';
import { inColourway } from '../../../core/design/colourway.ts';
import type { Design } from '../../../core/design/design-schema.ts';
import { usePixelRatio } from '../../../kit/use-pixel-ratio.ts';
import { useSize } from '../../../kit/use-size.ts';
import { useDesign } from '../../state/bench-store.ts';
import { type Beside, inEachDesign, tryOnOf } from '../try-on-edits.ts';
import { FITTED, placeOf } from './scene-camera.ts';
import { SceneInk } from './scene-ink.tsx';
import { drawCloth, windowOf } from './scene-view.tsx';
import { useDrawnScene } from './use-drawn-scene.ts';
import { usePaintedScene } from './use-painted-scene.ts';

/** Most scenes side by side: each is painted by a worker of its own. */
const MOST = 9;

/** The same scene in every colourway, or in each of its designs. */
export function SideBySide({ beside }: { beside: Exclude<Beside, 'one'> }) {
  const design = useDesign();
  const shown = useMemo(
    () => (beside === 'colourways' ? inEachColourway(design) : inEachDesign(design)).slice(0, MOST),
    [beside, design],
  );
  const across = Math.ceil(Math.sqrt(shown.length));
  return (
    <section
      aria-label="Side by side"
      className="grid min-h-0 min-w-0 gap-px bg-rule"
      style={{
        gridTemplateColumns: `repeat(${across}, minmax(0, 1fr))`,
        gridAutoRows: 'minmax(0, 1fr)',
      }}
    >
      {shown.map(({ name, design: each }, at) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: designs may have one name
        <SmallScene key={at} name={name} design={each} />
      ))}
    </section>
  );
}

function inEachColourway(design: Design) {
  const plain = [{ name: 'As it is', design }];
  return [...plain, ...design.colourways.map(({ name }) => ({ name, design: inColourway(design, name) }))];
}

function SmallScene({ name, design }: { name: string; design: Design }) {
  const host = useRef<HTMLDivElement>(null);
  const canvas = useRef<HTMLCanvasElement>(null);
  const view = useSize(host);
  const ratio = usePixelRatio();
  const drawn = useDrawnScene(design);
  const tryOn = tryOnOf(design);
  const bounds = drawn?.whole.bounds;
  const behind = drawn?.whole.behind;
  const place = useMemo(
    () => (bounds === undefined || view.width === 0 ? undefined : placeOf(FITTED, bounds, view)),
    [bounds, view],
  );
  const wish = useMemo(
    () => (place === undefined ? undefined : { design, tryOn, window: windowOf(place, view, ratio) }),
    [design, tryOn, place, view, ratio],
  );
  const painted = usePaintedScene(wish);
  const shown = painted !== undefined && 'value' in painted ? painted.value : undefined;
  useEffect(() => {
    if (place !== undefined) drawCloth(canvas.current!, { shown, behind, place, view, ratio });
  }, [shown, behind, place, view, ratio]);
  return (
    <figure className="m-0 grid min-h-0 min-w-0 grid-rows-[minmax(0,1fr)_auto] bg-paper">
      <div ref={host} className="relative min-h-0 min-w-0 overflow-hidden">
        <canvas
          ref={canvas}
          role="img"
          aria-label={`In ${name}`}
          className="absolute inset-0 h-full w-full"
        />
        {place !== undefined && drawn !== undefined && (
          <svg aria-hidden="true" className="pointer-events-none absolute inset-0 h-full w-full">
            <SceneInk whole={drawn.whole} place={place} />
          </svg>
        )}
      </div>
      <figcaption className="truncate px-3 pb-2 text-center text-[13px]">
        {painted !== undefined && 'problem' in painted ? (
          <span className="text-madder">{painted.problem}</span>
        ) : (
          name
        )}
      </figcaption>
    </figure>
  );
}
