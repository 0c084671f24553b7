import { useEffect, useMemo, useRef, useState } from 'react';
import type { Shade } from '../core/colour/shade.ts';
import { threadsOfPlaid } from '../core/design/plaid/compile-plaid.ts';
import type { Interlacing } from '../core/thread/weave.ts';
import { buildWeave } from '../core/thread/weaves/build-weave.ts';
import { draftOf, draftSize } from '../core/thread/weaves/draft.ts';
import { markLongFloats } from '../core/thread/weaves/float-counts.ts';
import { matrixRows } from '../core/thread/weaves/matrix.ts';
import type { Draft, WeaveSpec } from '../core/thread/weaves/weave-spec.ts';
import { ClothSwatch } from '../kit/cloth-swatch.tsx';
import { followPointer } from '../kit/follow-pointer.ts';
import { usePixelRatio } from '../kit/use-pixel-ratio.ts';
import { type Attempt, attempt } from '../wording/attempt.ts';
import { benchState, dispatch } from './bench-store.ts';
import { useCloth } from './cloth-store.ts';
import { setWeave } from './design-edits.ts';
import { cellAtPlace, type DraftCell, type DraftLayout, editDraft, GAP, layoutOf } from './draft-geometry.ts';
import { usePlaid } from './use-construction.ts';

/** CSS pixels of a cell. */
const CELL = { least: 5, most: 22 } as const;

/** Cells above the threading and beside the treadling that show the threads' shades. */
const STRIP = 1.5;

/** The structure on squared paper with threading, tie-up and treadling; each part is worked, the others follow. */
export function DraftView() {
  const design = usePlaid();
  const { construction, shades } = design;
  const structure = useMemo(() => buildWeave(construction.weave), [construction.weave]);
  const found = useMemo(() => draftFor(construction.weave, structure), [construction.weave, structure]);
  const limit = useCloth((cloth) => cloth.floatLimit);
  const host = useRef<HTMLDivElement>(null);
  const canvas = useRef<HTMLCanvasElement>(null);
  const [room, setRoom] = useState({ width: 0, height: 0 });
  const [cursor, setCursor] = useState<{ end: number; pick: number }>();
  const pixelRatio = usePixelRatio();
  useEffect(() => {
    const observer = new ResizeObserver(([entry]) => {
      const { width, height } = entry!.contentRect;
      setRoom({ width, height });
    });
    observer.observe(host.current!);
    return () => observer.disconnect();
  }, []);
  const draft = 'value' in found ? found.value : undefined;
  const layout = useMemo(() => shownLayout(draft, structure), [draft, structure]);
  const across = layout.ends + GAP + layout.treadles + STRIP;
  const down = layout.shafts + GAP + layout.picks + STRIP;
  const fit = Math.floor(Math.min((room.width - 32) / across, (room.height - 32) / down));
  const cell = Math.min(CELL.most, Math.max(CELL.least, fit));
  const threads = useMemo(() => threadsOfPlaid(construction, shades), [construction, shades]);
  useEffect(() => {
    const element = canvas.current!;
    element.width = Math.ceil(across * cell * pixelRatio);
    element.height = Math.ceil(down * cell * pixelRatio);
    const context = element.getContext('2d')!;
    context.scale(pixelRatio, pixelRatio);
    const marks = limit === 0 ? undefined : markLongFloats(structure, limit);
    drawDraft(context, { draft, structure, layout, cell, shades, threads, marks, cursor });
  }, [draft, structure, layout, across, down, cell, pixelRatio, shades, threads, limit, cursor]);
  const cellOf = (event: { clientX: number; clientY: number }): DraftCell | undefined => {
    const box = canvas.current!.getBoundingClientRect();
    return cellAtPlace(layout, (event.clientX - box.left) / cell, (event.clientY - box.top) / cell - STRIP);
  };
  return (
    <div className="grid min-h-0 min-w-0 grid-cols-[minmax(0,1fr)_200px]">
      <div ref={host} className="grid min-h-0 min-w-0 overflow-auto bg-[#ebe5d8] p-4">
        <canvas
          ref={canvas}
          tabIndex={0}
          role="img"
          aria-label={`Draft, ${layout.ends} ends and ${layout.picks} picks. Arrow keys go over the drawdown, Space raises or lowers the warp.`}
          className="m-auto block cursor-cell touch-none"
          style={{ width: across * cell, height: down * cell }}
          onPointerDown={(event) => startWork(event, { cellOf, draft })}
          onKeyDown={(event) => {
            const [dx, dy] = ARROWS[event.key] ?? [0, 0];
            const at = cursor ?? { end: 0, pick: 0 };
            if (dx !== 0 || dy !== 0) {
              event.preventDefault();
              setCursor({
                end: (at.end + dx + layout.ends) % layout.ends,
                pick: (at.pick + dy + layout.picks) % layout.picks,
              });
            } else if (event.key === ' ') {
              event.preventDefault();
              setCursor(at);
              const on = structure.up[at.pick * structure.ends + at.end] === 0;
              workCell({ part: 'drawdown', across: at.end, up: at.pick }, on, 'draft-key');
              dispatch({ kind: 'settle' });
            }
          }}
        />
      </div>
      <div className="flex flex-col gap-2 border-rule border-l bg-paper p-3">
        <ClothSwatch
          design={design}
          width={174}
          height={Math.max(120, Math.min(420, room.height - 90))}
          perThread={4}
        />
        {'problem' in found && <p className="text-[12.5px] text-weld">{found.problem}</p>}
        <p className="hint">Filled: the warp lies on top. The first pick is the lowest.</p>
      </div>
    </div>
  );
}

const ARROWS: Readonly<Record<string, readonly [dx: number, dy: number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

/** The draft as it is kept, else the one with the fewest shafts and treadles. */
function draftFor(weave: WeaveSpec, structure: Interlacing): Attempt<Draft> {
  return attempt(() => (weave.kind === 'draft' ? weave : draftOf(structure)));
}

function shownLayout(draft: Draft | undefined, { ends, picks }: Interlacing): DraftLayout {
  if (draft === undefined) return { ends, picks, shafts: 0, treadles: 0 };
  return layoutOf(draft, draftSize(draft).shafts);
}

/** Puts one cell of any part into the design. */
function workCell(cell: DraftCell, on: boolean, tag: string): void {
  const { construction } = benchState().history.present;
  if (construction.kind !== 'plaid') return;
  const structure = buildWeave(construction.weave);
  if (cell.part === 'drawdown') {
    const at = cell.up * structure.ends + cell.across;
    if ((structure.up[at] === 1) === on) return;
    const up = structure.up.with(at, on ? 1 : 0);
    const rows = matrixRows({ ...structure, up });
    dispatch({ kind: 'edit', edit: setWeave({ kind: 'matrix', rows }), tag });
    return;
  }
  const found = draftFor(construction.weave, structure);
  if ('problem' in found) return;
  const edited = editDraft(found.value, cell, on);
  const { threading, tieup, treadling } = edited;
  dispatch({ kind: 'edit', edit: setWeave({ kind: 'draft', threading, tieup, treadling }), tag });
}

interface Work {
  readonly cellOf: (event: { clientX: number; clientY: number }) => DraftCell | undefined;
  readonly draft: Draft | undefined;
}

/** A press on a part fills or clears, and what it is dragged over takes the same. */
function startWork(event: React.PointerEvent<HTMLCanvasElement>, { cellOf, draft }: Work): void {
  const first = cellOf(event);
  if (event.button !== 0 || first === undefined) return;
  const { construction } = benchState().history.present;
  if (construction.kind !== 'plaid') return;
  const structure = buildWeave(construction.weave);
  const filled =
    first.part === 'drawdown'
      ? structure.up[first.up * structure.ends + first.across] === 1
      : first.part === 'tieup' && (draft?.tieup[first.across]?.includes(first.up + 1) ?? false);
  const tag = `draft-${event.timeStamp}`;
  workCell(first, !filled, tag);
  followPointer(
    event,
    (moved) => {
      const cell = cellOf(moved);
      if (cell?.part === first.part) workCell(cell, !filled, tag);
    },
    () => dispatch({ kind: 'settle' }),
  );
}

interface DraftScene {
  readonly draft: Draft | undefined;
  readonly structure: Interlacing;
  readonly layout: DraftLayout;
  readonly cell: number;
  readonly shades: readonly Shade[];
  readonly threads: { readonly warp: Uint16Array; readonly weft: Uint16Array };
  readonly marks: Uint8Array | undefined;
  readonly cursor: { readonly end: number; readonly pick: number } | undefined;
}

const INK = '#20292b';
const PAPER = '#fffdf8';
const MADDER = '#b0442f';
const WOAD = '#2c5f7c';

/** Squared paper: a heavier line every 8 squares, from the lower left corner of each part. */
function drawDraft(context: CanvasRenderingContext2D, scene: DraftScene): void {
  const { draft, structure, layout, cell, shades, threads, marks, cursor } = scene;
  const { ends, picks, shafts, treadles } = layout;
  const top = STRIP * cell;
  const drawdownTop = top + (shafts + GAP) * cell;
  const treadlingLeft = (ends + GAP) * cell;
  const square = (left: number, upper: number, colour: string) => {
    context.fillStyle = colour;
    context.fillRect(left + 0.5, upper + 0.5, cell - 1, cell - 1);
  };
  for (let end = 0; end < ends; end += 1) {
    context.fillStyle = shades[threads.warp[end % threads.warp.length]!]!.hex;
    context.fillRect(end * cell, 0, cell, cell);
  }
  const beside = (ends + GAP + treadles) * cell + 0.5 * cell;
  for (let pick = 0; pick < picks; pick += 1) {
    context.fillStyle = shades[threads.weft[pick % threads.weft.length]!]!.hex;
    context.fillRect(beside, drawdownTop + (picks - 1 - pick) * cell, cell, cell);
  }
  paper(context, { left: 0, top: drawdownTop, columns: ends, rows: picks, cell });
  structure.up.forEach((up, at) => {
    const [end, pick] = [at % ends, Math.floor(at / ends)];
    const [left, upper] = [end * cell, drawdownTop + (picks - 1 - pick) * cell];
    const mark = marks?.[at] ?? 0;
    if (up === 1) square(left, upper, mark === 1 ? MADDER : INK);
    else if (mark === 2) square(left, upper, '#efc9bf');
  });
  if (draft !== undefined) {
    paper(context, { left: 0, top, columns: ends, rows: shafts, cell });
    draft.threading.forEach((shaft, end) => {
      square(end * cell, top + (shafts - shaft) * cell, INK);
    });
    paper(context, { left: treadlingLeft, top, columns: treadles, rows: shafts, cell });
    draft.tieup.forEach((lifted, treadle) => {
      for (const shaft of lifted) square(treadlingLeft + treadle * cell, top + (shafts - shaft) * cell, WOAD);
    });
    paper(context, { left: treadlingLeft, top: drawdownTop, columns: treadles, rows: picks, cell });
    draft.treadling.forEach((treadle, pick) => {
      square(treadlingLeft + (treadle - 1) * cell, drawdownTop + (picks - 1 - pick) * cell, INK);
    });
  }
  if (cursor !== undefined) {
    context.strokeStyle = WOAD;
    context.lineWidth = 2.5;
    context.strokeRect(cursor.end * cell, drawdownTop + (picks - 1 - cursor.pick) * cell, cell, cell);
  }
}

interface Paper {
  readonly left: number;
  readonly top: number;
  readonly columns: number;
  readonly rows: number;
  readonly cell: number;
}

function paper(context: CanvasRenderingContext2D, { left, top, columns, rows, cell }: Paper): void {
  const [width, height] = [columns * cell, rows * cell];
  context.fillStyle = PAPER;
  context.fillRect(left, top, width, height);
  const line = (heavy: boolean, x0: number, y0: number, x1: number, y1: number) => {
    context.strokeStyle = heavy ? 'rgb(32 41 43 / 0.55)' : 'rgb(32 41 43 / 0.16)';
    context.lineWidth = heavy ? 1.25 : 0.75;
    context.beginPath();
    context.moveTo(x0, y0);
    context.lineTo(x1, y1);
    context.stroke();
  };
  for (let column = 0; column <= columns; column += 1) {
    const x = left + column * cell;
    line(column % 8 === 0 || column === columns, x, top, x, top + height);
  }
  for (let row = 0; row <= rows; row += 1) {
    const y = top + height - row * cell;
    line(row % 8 === 0 || row === rows, left, y, left + width, y);
  }
}
