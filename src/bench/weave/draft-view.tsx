import { type RefObject, useEffect, useMemo, useRef, useState } from 'react';
import { threadsOfPlaid } from '../../core/design/plaid/compile-plaid.ts';
import { marksOf } from '../../core/thread/mark-cells.ts';
import type { Interlacing } from '../../core/thread/weave.ts';
import { buildWeave } from '../../core/thread/weaves/build-weave.ts';
import { weaveDraft } from '../../core/thread/weaves/weave-draft.ts';
import { type Draft, MAX_TREADLES } from '../../core/thread/weaves/weave-spec.ts';
import { ClothSwatch } from '../../kit/cloth-swatch.tsx';
import { CheckField } from '../../kit/fields/check-field.tsx';
import { usePixelRatio } from '../../kit/use-pixel-ratio.ts';
import { type Size, useSize } from '../../kit/use-size.ts';
import { attempt } from '../../wording/attempt.ts';
import { useCloth } from '../cloth/cloth-store.ts';
import { useDesignOf } from '../state/use-construction.ts';
import { cellAtPlace, type DraftLayout, layoutOf } from './draft-geometry.ts';
import { type DraftCursor, pressDraftKey } from './draft-keys.ts';
import { startWork } from './draft-work.ts';
import { cellThatFits, type DraftScene, draftExtent, drawDraft, NAMES, STRIP } from './draw-draft.ts';

/** CSS pixels of a cell. */
const CELL = { least: 5, most: 22 } as const;

/** The structure on squared paper with threading, tie-up and treadling; each part is worked, the others follow. */
export function DraftView() {
  const design = useDesignOf('plaid');
  const { construction, shades } = design;
  const structure = useMemo(() => buildWeave(construction.weave), [construction.weave]);
  const found = useMemo(() => attempt(() => weaveDraft(construction.weave)), [construction.weave]);
  const { marks, liftPlan } = useCloth();
  const host = useRef<HTMLDivElement>(null);
  const canvas = useRef<HTMLCanvasElement>(null);
  const room = useSize(host);
  const [cursor, setCursor] = useState<DraftCursor>();
  const draft = 'value' in found ? found.value : undefined;
  const many = draft !== undefined && draft.tieup.length > MAX_TREADLES;
  const layout = useMemo(
    () => shownLayout(draft, structure, liftPlan || many),
    [draft, structure, liftPlan, many],
  );
  const fit = cellThatFits(layout, { width: room.width - 32, height: room.height - 32 });
  const cell = Math.min(CELL.most, Math.max(CELL.least, fit));
  const extent = draftExtent(layout, cell);
  const width = Math.min(room.width, extent.width);
  const height = Math.min(room.height, extent.height);
  const scene = useMemo<DraftScene>(() => {
    const threads = threadsOfPlaid(construction, shades);
    const marked = marks.floatLimit > 0 || marks.layers ? marksOf(structure, marks) : undefined;
    return { draft, structure, layout, cell, shades, threads, marks: marked, cursor };
  }, [draft, structure, layout, cell, construction, shades, marks, cursor]);
  useDrawing(canvas, host, scene, { width, height });
  const cellOf = (event: { clientX: number; clientY: number }) => {
    const box = canvas.current!.getBoundingClientRect();
    const { scrollLeft, scrollTop } = host.current!;
    const x = event.clientX - box.left + scrollLeft;
    const y = event.clientY - box.top + scrollTop - NAMES;
    return cellAtPlace(layout, x / cell, y / cell - STRIP);
  };
  return (
    <div className="grid min-h-0 min-w-0 grid-cols-[minmax(0,1fr)_200px]">
      <div ref={host} className="grid min-h-0 min-w-0 overflow-auto bg-[#ebe5d8]">
        {/* The canvas is as large as what is in view and stays there; the box round it is as large as the draft. */}
        <div className="m-auto" style={{ width: extent.width, height: extent.height, padding: 0 }}>
          <canvas
            ref={canvas}
            tabIndex={0}
            role="img"
            aria-label={`Draft, ${layout.ends} ends and ${layout.picks} picks. Arrow keys go over the drawdown, Space raises or lowers the warp.`}
            className="sticky top-0 left-0 block cursor-cell touch-none"
            style={{ width, height }}
            onPointerDown={(event) => startWork(event, cellOf)}
            onKeyDown={(event) => {
              const next = pressDraftKey(event, cursor, structure);
              if (next !== undefined) setCursor(next);
            }}
          />
        </div>
      </div>
      <div className="flex flex-col gap-2 overflow-y-auto border-rule border-l bg-paper p-3">
        <ClothSwatch
          design={design}
          width={174}
          height={Math.max(120, Math.min(420, room.height - 230))}
          perThread={4}
        />
        {'problem' in found && <p className="text-[12.5px] text-weld">{found.problem}</p>}
        {many && (
          <p className="text-[12.5px] text-weld">
            It has {draft.tieup.length} different lifts, more than {MAX_TREADLES} treadles: its lift plan is
            shown.
          </p>
        )}
        {draft !== undefined && !many && (
          <CheckField
            text="Lift plan, not treadles"
            on={liftPlan}
            onChange={(on) => useCloth.setState({ liftPlan: on })}
          />
        )}
        <p className="hint">
          Filled: the warp lies on top. The first pick is the lowest. In the drawdown, Shift works a whole
          pick, Alt a whole end.
        </p>
      </div>
    </div>
  );
}

/** Draws the part of a draft that is scrolled into view, whenever either changes. */
function useDrawing(
  canvas: RefObject<HTMLCanvasElement | null>,
  host: RefObject<HTMLElement | null>,
  scene: DraftScene,
  { width, height }: Size,
): void {
  const pixelRatio = usePixelRatio();
  useEffect(() => {
    const element = canvas.current!;
    const scroller = host.current!;
    const draw = () => {
      const across = Math.ceil(width * pixelRatio);
      const down = Math.ceil(height * pixelRatio);
      if (element.width !== across) element.width = across;
      if (element.height !== down) element.height = down;
      const context = element.getContext('2d')!;
      context.setTransform(pixelRatio, 0, 0, pixelRatio, 0, 0);
      drawDraft(context, scene, { left: scroller.scrollLeft, top: scroller.scrollTop, width, height });
    };
    draw();
    scroller.addEventListener('scroll', draw);
    return () => scroller.removeEventListener('scroll', draw);
  }, [canvas, host, scene, pixelRatio, width, height]);
}

function shownLayout(draft: Draft | undefined, { ends, picks }: Interlacing, byLifts: boolean): DraftLayout {
  if (draft === undefined) return { ends, picks, shafts: 0, columns: 0, beside: 'treadling' };
  return layoutOf(draft, byLifts);
}
