import { rgbOf } from '../../colour/hex.ts';
import { modulo } from '../../exact/modulo.ts';
import type { Cells } from '../../thread/cells.ts';
import { keptRows } from '../kept-rows.ts';
import type { PaintWindow, RowPainter } from '../painting.ts';
import { BRIGHTEST, endsOf, LEVELS, THROUGH, type ThreadLook, threadLights, UNDER } from './thread-light.ts';

/**
 * Cloth as interlacing threads, each rounded across and dipping where it goes under. For looking, not for
 * production: a cell's edge falls on the nearest pixel when it is not whole. Threads thinner than their space let the
 * ones below them, and the table, show between them.
 */
export function paintThreads(cells: Cells, window: PaintWindow, look: ThreadLook): RowPainter {
  const { tile, width, offset } = window;
  const columns = placesOf(cells.width, tile.width);
  const pixel = threadPixels(cells, look);
  const painted = keptRows<string, Uint32Array>(MOST_BYTES);
  return (row, out, at) => {
    const y = modulo(row + offset.y, tile.height);
    const cell = Math.floor((y * cells.height) / tile.height);
    const first = edge(cell, cells.height, tile.height);
    const last = edge(cell + 1, cells.height, tile.height);
    const place = (y - first + 0.5) / (last - first);
    const stack = [-1, 0, 1].map((step) => cells.rowAt[modulo(cell + step, cells.height)]!);
    // Fibres are no two cells alike; without them, rows like this one are painted once.
    const name = look.finished ? `${y}` : `${stack} ${y - first} ${last - first}`;
    const known = painted.get(name);
    if (known !== undefined) {
      out.set(known, at);
      return;
    }
    const line = new Uint32Array(width);
    for (let x = 0; x < width; x += 1) {
      const column = modulo(x + offset.x, tile.width);
      line[x] = pixel(stack, { end: columns.cell[column]!, pick: cell, x: columns.place[column]!, y: place });
    }
    out.set(painted.keep(name, line), at);
  };
}

/** Bytes of painted rows that are kept. */
const MOST_BYTES = 1 << 26;

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

/** A pixel of the cloth: its cell, and its place in it from the upper left, 0 … 1. */
interface Place {
  readonly end: number;
  readonly pick: number;
  readonly x: number;
  readonly y: number;
}

/** Paints single pixels; `stack` names the different rows above, here and below. */
function threadPixels(cells: Cells, look: ThreadLook): (stack: readonly number[], place: Place) => number {
  const { over, rows, width } = cells;
  const faces = over!;
  const lights = threadLights(look);
  const lit = litShades(cells);
  const { warp, weft } = shadesBelow(cells);
  const through = pack(THROUGH, 1);
  return ([above, here, below], { end, pick, x, y }) => {
    const face = faces[here!]!;
    const up = face[end] === 1;
    const across = up ? 0.5 + (x - 0.5) / look.warp : 0.5 + (y - 0.5) / look.weft;
    if (across >= 0 && across < 1) {
      const ends = up
        ? endsOf(faces[above!]![end] !== 1, faces[below!]![end] !== 1)
        : endsOf(face[end === 0 ? width - 1 : end - 1] === 1, face[end + 1 === width ? 0 : end + 1] === 1);
      const level = lights.at(up, ends, across, up ? y : x);
      const fibre = !look.finished
        ? 0
        : up
          ? fibreAt(end, across, pick + y, cells.height)
          : fibreAt(pick, across, end + x, width);
      return lit[rows[here!]![end]! * LEVELS + Math.min(LEVELS - 1, Math.max(0, level + fibre))]!;
    }
    const [beneath, aside] = up ? [weft[here!]!, (y - 0.5) / look.weft] : [warp[end]!, (x - 0.5) / look.warp];
    if (beneath < 0 || Math.abs(aside) >= 0.5) return through;
    const level = Math.round(UNDER * lights.at(!up, 0, 0.5 + aside, up ? x : y));
    return lit[beneath * LEVELS + level]!;
  };
}

/** The shade of each end, and of the weft in each different row, where they are ever on top; else −1. */
function shadesBelow({ rows, over, width }: Cells): { warp: Int32Array; weft: Int32Array } {
  const warp = new Int32Array(width).fill(-1);
  const weft = new Int32Array(rows.length).fill(-1);
  rows.forEach((row, index) => {
    const face = over![index]!;
    for (let end = 0; end < width; end += 1) {
      if (face[end] === 1) warp[end] = row[end]!;
      else weft[index] = row[end]!;
    }
  });
  return { warp, weft };
}

/** Fibres that lie side by side across a thread, and across how much of it they twist from one cell to the next. */
const FIBRES = 14;
const TWIST = 5;

/**
 * Fibres, in levels: streaks that twist round a thread, and threads a little lighter or darker than each other.
 * @param around  cells after which the thread comes round
 */
function fibreAt(thread: number, across: number, along: number, around: number): number {
  const cell = Math.floor(along);
  const strand = thread * 97 + Math.floor(across * FIBRES + (along - cell) * TWIST);
  const here = scatter(strand, cell) % 15;
  const next = scatter(strand - TWIST, (cell + 1) % around) % 15;
  const streak = here + (next - here) * (along - cell);
  return Math.round(streak - 7 + (scatter(thread, -1) % 7) - 3);
}

/** A number that looks like chance and is always the same for the same two; a multiplicative hash. */
function scatter(a: number, b: number): number {
  let mixed = Math.imul(a + 0x9e37, 0x85ebca6b) ^ Math.imul(b + 0x79b9, 0xc2b2ae35);
  mixed = Math.imul(mixed ^ (mixed >>> 15), 0x2c1b3c6d);
  return (mixed ^ (mixed >>> 13)) >>> 0;
}

/** Every shade at every level, packed. */
function litShades({ shades }: Cells): Uint32Array {
  return Uint32Array.from({ length: shades.length * LEVELS }, (_, index) =>
    pack(shades[Math.floor(index / LEVELS)]!.hex, ((index % LEVELS) / (LEVELS - 1)) * BRIGHTEST),
  );
}

/** A colour in a light; where it would be brighter than white can be, it keeps its hue. */
function pack(hex: string, light: number): number {
  const rgb = rgbOf(hex);
  const most = Math.min(light, 255 / Math.max(1, ...rgb));
  const [red, green, blue] = rgb.map((byte) => Math.round(byte * most));
  return ((255 << 24) | (blue! << 16) | (green! << 8) | red!) >>> 0;
}
