import { mulDivFloor } from '../exact/mul-div-floor.ts';
import { SUBPIXELS } from '../shape/grid.ts';
import type { Edges } from './partition-edges.ts';

/** Red, green and blue light, and how much of a pixel is not clear: 0 … 65535 each. */
export const CHANNELS = 4;

/** One pixel wholly covered: subpixels across × subpixels down × 2, so that halves are whole. */
export const WHOLE = 2 * SUBPIXELS * SUBPIXELS;

/** What brings a sum to a level; exact, as WHOLE is a power of 2. */
export const PER_WHOLE = 1 / WHOLE;

/** Edges as they stand in the window, or a repeat above it. */
export interface Placed {
  readonly edges: ArrayLike<number>;
  /** Heights of their starts, in subpixels. */
  readonly tops: ArrayLike<number>;
}

/** What one row takes up: differences of light along it, and which pixels have any. */
export interface RowSums {
  /** Pixels of the row. */
  readonly across: number;
  /** CHANNELS numbers a pixel, and one pixel more. */
  readonly sums: Float64Array;
  /** A bit a pixel, 32 to a word, the first lowest. */
  readonly touched: Int32Array;
}

/**
 * Adds what edges change in one pixel row: each pixel that one crosses takes its share of the difference, and the
 * running sum carries the whole to all pixels on the right. A hot loop, longer than others for it.
 */
export function accumulateRow(
  edges: Edges,
  { edges: indexes, tops }: Placed,
  row: number,
  differences: Float64Array,
  out: RowSums,
): void {
  const { x: xs, dx: dxs, dy: dys, width } = edges;
  const rowTop = row * SUBPIXELS;
  const rowBottom = rowTop + SUBPIXELS;
  const rowRight = out.across * SUBPIXELS;
  for (let index = 0; index < indexes.length; index += 1) {
    const edge = indexes[index]!;
    const top = tops[index]!;
    const dy = dys[edge]!;
    // The piece of the edge that lies in the row, from its upper to its lower end.
    const upper = Math.max(top, rowTop);
    const lower = Math.min(top + dy, rowBottom);
    if (upper >= lower) continue;
    const start = xs[edge]!;
    const dx = dxs[edge]!;
    const upperX = upper === top ? start : start + mulDivFloor(upper - top, dx, dy);
    const lowerX = lower === top + dy ? start + dx : start + mulDivFloor(lower - top, dx, dy);
    const falls = upperX <= lowerX;
    const leftX = falls ? upperX : lowerX;
    const rightX = falls ? lowerX : upperX;
    const leftY = falls ? upper : lower;
    const rightY = falls ? lower : upper;
    const place = edge * CHANNELS;
    // The repeat comes again and again along the row, and the piece with it.
    for (let shift = -Math.floor(rightX / width) * width; leftX + shift < rowRight; shift += width) {
      const left = leftX + shift;
      const right = rightX + shift;
      const first = left > 0 ? Math.floor(left / SUBPIXELS) : 0;
      if (left >= 0 && right <= (first + 1) * SUBPIXELS) {
        // All of it in one pixel, as most are.
        share(out, first, left + right - 2 * first * SUBPIXELS, lower - upper, differences, place);
        continue;
      }
      // From pixel to pixel, each with the part of the piece that it holds.
      const last = Math.min(out.across - 1, Math.max(first, Math.ceil(right / SUBPIXELS) - 1));
      let x = Math.max(left, 0);
      let y = x === left ? leftY : heightAt(x - shift - start, dx, dy, top, upper, lower);
      for (let column = first; column <= last && right >= x; column += 1) {
        const nextX = Math.min(right, (column + 1) * SUBPIXELS);
        const nextY = nextX === right ? rightY : heightAt(nextX - shift - start, dx, dy, top, upper, lower);
        share(out, column, x + nextX - 2 * column * SUBPIXELS, Math.abs(nextY - y), differences, place);
        x = nextX;
        y = nextY;
      }
    }
  }
}

/** How far down an edge has come at a way from its start, rounded down, kept within a row. */
function heightAt(way: number, dx: number, dy: number, top: number, upper: number, lower: number): number {
  const y = top + mulDivFloor(way, dy, dx);
  return Math.min(lower, Math.max(upper, y));
}

/**
 * A piece of an edge in one pixel.
 * @param inside  twice the mean way from the pixel's left border to the piece, in subpixels
 * @param height  of the piece, in subpixels
 */
function share(
  { sums, touched }: RowSums,
  column: number,
  inside: number,
  height: number,
  differences: Float64Array,
  place: number,
): void {
  const here = height * (2 * SUBPIXELS - inside);
  const beyond = height * inside;
  const at = column * CHANNELS;
  const red = differences[place]!;
  const green = differences[place + 1]!;
  const blue = differences[place + 2]!;
  const cover = differences[place + 3]!;
  // Of cover alone there is no light to add.
  if (red !== 0 || green !== 0 || blue !== 0) {
    sums[at]! += here * red;
    sums[at + 1]! += here * green;
    sums[at + 2]! += here * blue;
    sums[at + 4]! += beyond * red;
    sums[at + 5]! += beyond * green;
    sums[at + 6]! += beyond * blue;
  }
  // Between faces that are not clear there is nothing to add.
  if (cover !== 0) {
    sums[at + 3]! += here * cover;
    sums[at + 7]! += beyond * cover;
  }
  touched[column >> 5]! |= 1 << (column & 31);
  touched[(column + 1) >> 5]! |= 1 << ((column + 1) & 31);
}

/** Room for the sums of a row of so many pixels. */
export function emptySums(across: number): RowSums {
  return {
    across,
    sums: new Float64Array((across + 2) * CHANNELS),
    touched: new Int32Array(((across + 1) >> 5) + 1),
  };
}

/** Whether a pixel of the row has anything to take up. */
export function isTouched(touched: Int32Array, x: number): boolean {
  return ((touched[x >> 5]! >> (x & 31)) & 1) === 1;
}

/** Empties what a row took up. */
export function emptyRow({ sums, touched }: RowSums): void {
  sums.fill(0);
  touched.fill(0);
}
