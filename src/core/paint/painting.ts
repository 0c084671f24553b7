import { type Mixing, type MixingTables, mixingTables } from '../colour/mixing.ts';
import type { Shade } from '../colour/shade.ts';
import { CoreError } from '../error.ts';
import { surdToNumber } from '../exact/surd.ts';
import { contentKind } from '../repeat/contents.ts';
import type { Content, RepeatUnit } from '../repeat/repeat-unit.ts';
import type { Place } from '../shape/places.ts';
import type { Cells } from '../thread/cells.ts';
import { cellsLight, paintAveragedCells } from './cells/averaged-cells.ts';
import { litCells } from './cells/lit-cells.ts';
import { paintSharpCells } from './cells/sharp-cells.ts';
import type { ThreadLook } from './cells/thread-light.ts';
import { paintThreads } from './cells/threads.ts';
import { facesLight, marksLight } from './faces-light.ts';
import { type LightPainter, packLight } from './light-rows.ts';
import { paintOpaqueMarks } from './opaque-marks.ts';
import { paintPartition } from './partition-painter.ts';
import { paintPlies, pliesLight } from './plies/plies-painter.ts';

/** What part of the endless pattern is painted, and at what size. All in whole pixels. */
export interface PaintWindow {
  /** One repeat. */
  readonly tile: { readonly width: number; readonly height: number };
  /** Width of what is painted; rows are asked for one by one. */
  readonly width: number;
  /** Place of the window's upper left corner in the pattern; any whole numbers. */
  readonly offset: { readonly x: number; readonly y: number };
  /** Flat shades, or threads drawn over and under (cloth only). */
  readonly look: Look;
  /** How colours that share a pixel are mixed; left out, as light. */
  readonly mixing?: Mixing;
  /** Seen wherever nothing covers it; left out, nothing is. */
  readonly ground?: Shade;
}

export type Look = 'flat' | ThreadLook;

/** Pixels of a thread from which it is drawn; smaller ones are seen by their light. */
const DRAWN_FROM = 4;

/** Paints one row of the window, counted from its top, into `width` packed RGBA pixels at `at`. */
export type RowPainter = (row: number, out: Uint32Array, at: number) => void;

/** A unit made ready for painting in one window. What was computed for one row serves every row like it. */
export interface Painting {
  readonly width: number;
  readonly paintRow: RowPainter;
}

/** @throws CoreError "paint/size" */
export function preparePainting(unit: RepeatUnit, window: PaintWindow): Painting {
  const { tile, width } = window;
  if (![tile.width, tile.height, width].every((size) => Number.isSafeInteger(size) && size >= 1)) {
    throw new CoreError('paint/size', { width: tile.width, height: tile.height });
  }
  return { width, paintRow: painterFor(unit, window) };
}

/** How a kind of content is painted. */
interface Painter<C extends Content> {
  /** Its rows of exact light, one over the other. */
  readonly light: (
    content: C,
    pitch: Place,
    window: PaintWindow,
    tables: MixingTables,
  ) => readonly LightPainter[];
  /** A faster way to the same pixels; undefined where there is none. */
  readonly fast: (content: C, window: PaintWindow, pitch: Place) => RowPainter | undefined;
  /** Whether every cell is whole pixels in a tile of that size, so that nothing is averaged. */
  readonly isSharp: (content: C, tile: PaintWindow['tile']) => boolean;
}

const PAINTERS: { readonly [K in Content['kind']]: Painter<Extract<Content, { kind: K }>> } = {
  cells: {
    light: (cells, _, window, tables) => [cellsLight(cells, window, tables)],
    fast: paintCloth,
    isSharp: cellsAreSharp,
  },
  partition: {
    light: (partition, _, window, tables) => facesLight(partition, window, tables),
    fast: paintPartition,
    isSharp: () => false,
  },
  marks: {
    light: (content, pitch, window, tables) => [
      ...facesLight(content.base, window, tables),
      ...marksLight(content, pitch, window, tables),
    ],
    fast: paintOpaqueMarks,
    isSharp: () => false,
  },
  plies: {
    light: (content, pitch, window, tables) => [
      pliesLight(content, { window, pitch, prepare: preparePainting }, tables),
    ],
    fast: (content, window, pitch) =>
      window.ground === undefined
        ? paintPlies(content, { window, pitch, prepare: preparePainting })
        : undefined,
    isSharp: ({ plies }, { width, height }) =>
      plies.every(({ unit, times }) =>
        isSharp(unit.content, { width: width / times.across, height: height / times.down }),
      ),
  },
};

function painterOf<C extends Content>(content: C): Painter<C> {
  return PAINTERS[content.kind] as unknown as Painter<C>;
}

/** Whether every cell is whole pixels in a tile of that size, so that nothing is averaged. */
export function isSharp(content: Content, tile: PaintWindow['tile']): boolean {
  return painterOf(content).isSharp(content, tile);
}

function cellsAreSharp(cells: Cells, tile: PaintWindow['tile']): boolean {
  return tile.width % cells.width === 0 && tile.height % cells.height === 0;
}

function painterFor(unit: RepeatUnit, window: PaintWindow): RowPainter {
  const { content } = unit;
  const fast = painterOf(content).fast(content, window, nearPitch(unit));
  return fast ?? packLight(lightPainters(unit, window), window, contentKind(content).isClear(content));
}

/** The exact light of a unit's rows, one painter over the other; the contract that every content keeps. */
export function lightPainters(unit: RepeatUnit, window: PaintWindow): readonly LightPainter[] {
  const { content } = unit;
  return painterOf(content).light(content, nearPitch(unit), window, mixingTables(window.mixing));
}

function nearPitch({ pitch }: RepeatUnit): Place {
  return { x: surdToNumber(pitch.x), y: surdToNumber(pitch.y) };
}

function paintCloth(cells: Cells, window: PaintWindow): RowPainter {
  const { look, tile } = window;
  if (look === 'flat' || cells.over === undefined) return paintCells(cells, window);
  const drawn = tile.width >= DRAWN_FROM * cells.width && tile.height >= DRAWN_FROM * cells.height;
  return drawn ? paintThreads(cells, window, look) : paintCells(litCells(cells, look), window);
}

function paintCells(cells: Cells, window: PaintWindow): RowPainter {
  return cellsAreSharp(cells, window.tile)
    ? paintSharpCells(cells, window)
    : paintAveragedCells(cells, window);
}

/**
 * Paints rows of a window, top row first, four bytes a pixel (red, green, blue, alpha), no gaps between rows.
 *
 * @param fromRow   first row, counted from the window's top; any whole number
 * @param out       at least width × rowCount pixels; views of it share its memory
 */
export function paintRows(painting: Painting, fromRow: number, rowCount: number, out: Uint32Array): void {
  for (let row = 0; row < rowCount; row += 1) {
    painting.paintRow(fromRow + row, out, row * painting.width);
  }
}

/** One whole repeat, flat, as bytes; for tiles that fit in memory. */
export function paintTile(unit: RepeatUnit, tile: PaintWindow['tile']): Uint8Array {
  const window: PaintWindow = { tile, width: tile.width, offset: { x: 0, y: 0 }, look: 'flat' };
  const out = new Uint32Array(tile.width * tile.height);
  paintRows(preparePainting(unit, window), 0, tile.height, out);
  return new Uint8Array(out.buffer);
}
