import { rgbOf } from '../colour/hex.ts';
import { modulo } from '../exact/modulo.ts';
import type { Cells } from '../thread/cells.ts';
import type { PaintWindow, RowPainter } from './painting.ts';

/** Steps of light across a thread; one thread is at most this many shades. */
const LEVELS = 64;

/** Brightest light, as a multiple of the shade. */
const BRIGHTEST = 1.12;

/**
 * Cloth as interlacing threads, each rounded across and dipping where it goes under. For looking, not for
 * sending: light comes from the upper left, and a cell's edge falls on the nearest pixel when it is not whole.
 */
export function paintThreads(cells: Cells, { tile, width, offset }: PaintWindow): RowPainter {
  const lit = litShades(cells);
  const columns = placesOf(cells.width, tile.width);
  const painted = new Map<string, Uint32Array>();
  return (row, out, at) => {
    const y = modulo(row + offset.y, tile.height);
    const cell = Math.floor((y * cells.height) / tile.height);
    const [first, last] = [edge(cell, cells.height, tile.height), edge(cell + 1, cells.height, tile.height)];
    const place = (y - first + 0.5) / (last - first);
    const stack = [-1, 0, 1].map((step) => cells.rowAt[modulo(cell + step, cells.height)]!);
    const name = `${stack} ${y - first} ${last - first}`;
    const known = painted.get(name);
    if (known !== undefined) {
      out.set(known, at);
      return;
    }
    const line = new Uint32Array(width);
    for (let x = 0; x < width; x += 1) {
      const column = modulo(x + offset.x, tile.width);
      line[x] = threadPixel(cells, stack, columns.cell[column]!, columns.place[column]!, place, lit);
    }
    if (painted.size < MOST_KEPT) painted.set(name, line);
    out.set(line, at);
  };
}

/** Most different pixel rows that are kept. */
const MOST_KEPT = 2048;

/** First pixel of a cell. */
function edge(cell: number, cells: number, pixels: number): number {
  return Math.ceil((cell * pixels) / cells);
}

/** For each pixel of one axis, the cell it lies in and how far along it, 0 … 1. */
function placesOf(cells: number, pixels: number): { cell: Uint32Array; place: Float32Array } {
  const cell = new Uint32Array(pixels);
  const place = new Float32Array(pixels);
  for (let at = 0; at < pixels; at += 1) {
    cell[at] = Math.floor((at * cells) / pixels);
    const first = edge(cell[at]!, cells, pixels);
    place[at] = (at - first + 0.5) / (edge(cell[at]! + 1, cells, pixels) - first);
  }
  return { cell, place };
}

function threadPixel(
  cells: Cells,
  [above, here, below]: readonly number[],
  cell: number,
  x: number,
  y: number,
  lit: Uint32Array,
): number {
  const over = cells.over!;
  const up = over[here!]![cell] === 1;
  const left = over[here!]![cell === 0 ? cells.width - 1 : cell - 1] === 1;
  const right = over[here!]![cell + 1 === cells.width ? 0 : cell + 1] === 1;
  const light = up
    ? lightAt(x, y, over[above!]![cell] !== 1, over[below!]![cell] !== 1)
    : lightAt(y, x, left, right);
  return lit[cells.rows[here!]![cell]! * LEVELS + light]!;
}

/** Places told apart across and along a cell. */
const PLACES = 64;

/** `lightOf` at every place: four ways a thread can dive × across × along. */
const LIGHTS = Uint8Array.from({ length: 4 * PLACES * PLACES }, (_, at) => {
  const along = ((at % PLACES) + 0.5) / PLACES;
  const across = ((Math.floor(at / PLACES) % PLACES) + 0.5) / PLACES;
  const ends = Math.floor(at / (PLACES * PLACES));
  return lightOf(across, along, ends % 2 === 1, ends >= 2);
});

function lightAt(across: number, along: number, endsBefore: boolean, endsAfter: boolean): number {
  const ends = (endsBefore ? 1 : 0) + (endsAfter ? 2 : 0);
  return LIGHTS[(ends * PLACES + Math.floor(across * PLACES)) * PLACES + Math.floor(along * PLACES)]!;
}

/**
 * Level of light at a place of a thread that lies on top.
 * @param across     0 … 1 over the thread's width, 0 on the lit side
 * @param along      0 … 1 along this cell
 * @param endsBefore whether it dives at the start of the cell
 * @param endsAfter  whether it dives at its end
 */
function lightOf(across: number, along: number, endsBefore: boolean, endsAfter: boolean): number {
  const side = 2 * across - 1;
  const round = Math.sqrt(Math.max(0, 1 - side * side * 0.96));
  const before = endsBefore ? Math.max(0, 0.42 - along) / 0.42 : 0;
  const after = endsAfter ? Math.max(0, along - 0.58) / 0.42 : 0;
  const dive = 0.42 * before * before + 0.55 * after * after;
  const light = (0.44 + 0.62 * round - 0.08 * side) * (1 - dive);
  return Math.min(LEVELS - 1, Math.max(0, Math.round(light * (LEVELS / BRIGHTEST))));
}

/** Every shade at every level, packed. */
function litShades({ shades }: Cells): Uint32Array {
  const bytes = new Uint8ClampedArray(shades.length * LEVELS * 4);
  shades.forEach((shade, index) => {
    for (let level = 0; level < LEVELS; level += 1) {
      const light = (level / LEVELS) * BRIGHTEST;
      bytes.set([...rgbOf(shade.hex).map((byte) => byte * light), 255], (index * LEVELS + level) * 4);
    }
  });
  return new Uint32Array(bytes.buffer);
}
