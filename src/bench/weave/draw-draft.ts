import type { Shade } from '../../core/colour/shade.ts';
import type { Interlacing } from '../../core/thread/weave.ts';
import type { Draft } from '../../core/thread/weaves/weave-spec.ts';
import { type DraftLayout, GAP } from './draft-geometry.ts';

/** CSS pixels above the parts and below them, where their names stand. */
export const NAMES = 18;

/** Cells above the threading and beside the treadling that show the threads' shades. */
export const STRIP = 1.5;

/** What of the whole draft is in view, in CSS pixels from its upper left corner. */
export interface DraftWindow {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

export interface DraftScene {
  readonly draft: Draft | undefined;
  readonly structure: Interlacing;
  readonly layout: DraftLayout;
  /** CSS pixels of a cell. */
  readonly cell: number;
  readonly shades: readonly Shade[];
  readonly threads: { readonly warp: Uint16Array; readonly weft: Uint16Array };
  /** For each cell of the structure, 1 where its float is too long. */
  readonly marks: Uint8Array | undefined;
  readonly cursor: { readonly end: number; readonly pick: number } | undefined;
}

const INK = '#20292b';
const ASH = '#6b7472';
const PAPER = '#fffdf8';
const MADDER = '#b0442f';
const WOAD = '#2c5f7c';

/** Names of the parts are a few letters wide even where the parts are not. */
const LEAST_BESIDE = 64;

/** Cells of a whole draft across and down. */
function cellsOf({ ends, picks, shafts, columns }: DraftLayout): { across: number; down: number } {
  if (shafts === 0) return { across: ends + STRIP, down: STRIP + picks };
  return { across: ends + GAP + columns + STRIP, down: STRIP + shafts + GAP + picks };
}

/** Size of a whole draft in CSS pixels. */
export function draftExtent(layout: DraftLayout, cell: number): { width: number; height: number } {
  const { across, down } = cellsOf(layout);
  const least = layout.shafts === 0 ? 0 : layout.ends * cell + LEAST_BESIDE;
  return { width: Math.max(least, across * cell), height: 2 * NAMES + down * cell };
}

/** The largest whole size of a cell with which a draft fits into a room; may be below 1. */
export function cellThatFits(layout: DraftLayout, room: { width: number; height: number }): number {
  const { across, down } = cellsOf(layout);
  const wide = Math.min(room.width / across, (room.width - LEAST_BESIDE) / layout.ends);
  return Math.floor(Math.min(wide, (room.height - 2 * NAMES) / down));
}

/** Top of the drawdown, in CSS pixels. */
function drawdownTop({ shafts }: DraftLayout, cell: number): number {
  return NAMES + (STRIP + (shafts === 0 ? 0 : shafts + GAP)) * cell;
}

/** Draws what is in view; squared paper with a heavier line every 8 squares, from the lower left corner of each part. */
export function drawDraft(context: CanvasRenderingContext2D, scene: DraftScene, view: DraftWindow): void {
  const { draft, structure, layout, cell, shades, threads, marks, cursor } = scene;
  const { ends, picks, shafts, columns, beside } = layout;
  context.clearRect(0, 0, view.width, view.height);
  context.save();
  context.translate(-view.left, -view.top);
  const top = NAMES + STRIP * cell;
  const down = drawdownTop(layout, cell);
  const right = (ends + GAP) * cell;
  const square = (left: number, upper: number, colour: string) => {
    context.fillStyle = colour;
    context.fillRect(left + 0.5, upper + 0.5, cell - 1, cell - 1);
  };
  const pickTop = (pick: number) => down + (picks - 1 - pick) * cell;
  const [firstEnd, lastEnd] = inView(view.left, view.width, cell, ends);
  const [firstRow, lastRow] = inView(view.top - down, view.height, cell, picks);
  const firstPick = picks - lastRow;
  const lastPick = picks - firstRow;
  const shadeOf = (of: Uint16Array, thread: number) => shades[of[thread % of.length]!]!.hex;
  for (let end = firstEnd; end < lastEnd; end += 1) {
    context.fillStyle = shadeOf(threads.warp, end);
    context.fillRect(end * cell, NAMES, cell, cell);
  }
  const strip = right + ((shafts === 0 ? -GAP : columns) + 0.5) * cell;
  for (let pick = firstPick; pick < lastPick; pick += 1) {
    context.fillStyle = shadeOf(threads.weft, pick);
    context.fillRect(strip, pickTop(pick), cell, cell);
  }
  paper(context, { left: 0, top: down, columns: ends, rows: picks, cell }, view);
  for (let pick = firstPick; pick < lastPick; pick += 1) {
    for (let end = firstEnd; end < lastEnd; end += 1) {
      const at = pick * ends + end;
      const mark = marks?.[at] === 1;
      if (structure.up[at] === 1) square(end * cell, pickTop(pick), mark ? MADDER : INK);
      else if (mark) square(end * cell, pickTop(pick), '#efc9bf');
    }
  }
  if (draft !== undefined) {
    const shaftTop = (shaft: number) => top + (shafts - shaft) * cell;
    paper(context, { left: 0, top, columns: ends, rows: shafts, cell }, view);
    for (let end = firstEnd; end < lastEnd; end += 1)
      square(end * cell, shaftTop(draft.threading[end]!), INK);
    paper(context, { left: right, top: down, columns, rows: picks, cell }, view);
    for (let pick = firstPick; pick < lastPick; pick += 1) {
      const treadle = draft.treadling[pick]!;
      const filled = beside === 'lifts' ? draft.tieup[treadle - 1]! : [treadle];
      for (const column of filled) square(right + (column - 1) * cell, pickTop(pick), INK);
    }
    if (beside === 'treadling') {
      paper(context, { left: right, top, columns, rows: shafts, cell }, view);
      draft.tieup.forEach((lifted, treadle) => {
        for (const shaft of lifted) square(right + treadle * cell, shaftTop(shaft), WOAD);
      });
    }
  }
  if (cursor !== undefined) {
    context.strokeStyle = WOAD;
    context.lineWidth = 2.5;
    context.strokeRect(cursor.end * cell, pickTop(cursor.pick), cell, cell);
  }
  nameParts(context, scene, { right, below: down + picks * cell });
  context.restore();
}

/** Names stand above the upper parts and below the lower ones. */
function nameParts(
  context: CanvasRenderingContext2D,
  { draft, layout }: DraftScene,
  { right, below }: { readonly right: number; readonly below: number },
): void {
  context.fillStyle = ASH;
  context.font = '12px "Instrument Sans Variable", sans-serif';
  context.textBaseline = 'middle';
  context.fillText('Drawdown', 0, below + NAMES / 2 + 1);
  if (draft === undefined) return;
  context.fillText('Threading', 0, NAMES / 2 - 1);
  if (layout.beside === 'treadling') context.fillText('Tie-up', right, NAMES / 2 - 1);
  context.fillText(layout.beside === 'treadling' ? 'Treadling' : 'Lift plan', right, below + NAMES / 2 + 1);
}

/** First and one past the last of `count` cells that a stretch of pixels touches. */
function inView(from: number, length: number, cell: number, count: number): readonly [number, number] {
  const clamp = (value: number) => Math.min(count, Math.max(0, value));
  return [clamp(Math.floor(from / cell)), clamp(Math.ceil((from + length) / cell))];
}

interface Paper {
  readonly left: number;
  readonly top: number;
  readonly columns: number;
  readonly rows: number;
  readonly cell: number;
}

function paper(
  context: CanvasRenderingContext2D,
  { left, top, columns, rows, cell }: Paper,
  view: DraftWindow,
): void {
  const width = columns * cell;
  const height = rows * cell;
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
  const [firstColumn, lastColumn] = inView(view.left - left, view.width, cell, columns);
  for (let column = firstColumn; column <= lastColumn; column += 1) {
    const x = left + column * cell;
    line(column % 8 === 0 || column === columns, x, top, x, top + height);
  }
  const [firstRow, lastRow] = inView(view.top - top, view.height, cell, rows);
  for (let row = rows - lastRow; row <= rows - firstRow; row += 1) {
    const y = top + height - row * cell;
    line(row % 8 === 0 || row === rows, left, y, left + width, y);
  }
}
