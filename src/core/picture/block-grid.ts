import { CoreError } from '../error.ts';

/**
 * Mean light of the blocks of a picture, three numbers a block (red, green, blue in linear light, 0 … 65535), row by
 * row from the upper left. Blocks are squares of `block` pixels; those of the last column and row are cut by the
 * picture's edge.
 */
export interface BlockGrid {
  /** Pixels of the picture, upright. */
  readonly width: number;
  readonly height: number;
  /** Pixels along a side of one block. */
  readonly block: number;
  readonly columns: number;
  readonly rows: number;
  readonly light: Float64Array | Uint16Array;
}

/** Most pixels of a picture that is read. */
export const MAX_PICTURE_PIXELS = 120_000_000;

/** Most blocks of the grid that is kept of a picture; larger pictures are kept in larger blocks. */
const MAX_BLOCKS = 700_000;

/** Side of the smallest blocks in which a picture of that size is kept. */
export function finestBlock(width: number, height: number): number {
  return Math.max(1, Math.ceil(Math.sqrt((width * height) / MAX_BLOCKS)));
}

/** Number of blocks along a side of so many pixels. */
export function blocksAlong(pixels: number, block: number): number {
  return Math.ceil(pixels / block);
}

/**
 * The same picture in larger blocks: each takes the mean of the ones in it, by their areas.
 * @param times  whole; a side of the new block in sides of the old one
 */
export function coarsen(grid: BlockGrid, times: number): BlockGrid {
  if (!(Number.isSafeInteger(times) && times >= 1)) throw new Error(`expected a whole number, got ${times}`);
  if (times === 1) return grid;
  const block = grid.block * times;
  const columns = blocksAlong(grid.width, block);
  const rows = blocksAlong(grid.height, block);
  const sums = new Float64Array(columns * rows * 3);
  for (let y = 0, from = 0; y < grid.rows; y += 1) {
    const tall = sideOf(y, grid.rows, grid.height, grid.block);
    const row = Math.floor(y / times) * columns;
    for (let x = 0; x < grid.columns; x += 1, from += 3) {
      const area = tall * sideOf(x, grid.columns, grid.width, grid.block);
      const to = (row + Math.floor(x / times)) * 3;
      sums[to]! += area * grid.light[from]!;
      sums[to + 1]! += area * grid.light[from + 1]!;
      sums[to + 2]! += area * grid.light[from + 2]!;
    }
  }
  const coarse = { ...grid, block, columns, rows };
  divideByAreas(sums, coarse);
  return { ...coarse, light: sums };
}

/** Makes means of sums, in their place. */
function divideByAreas(
  sums: Float64Array,
  { width, height, block, columns, rows }: Omit<BlockGrid, 'light'>,
): void {
  for (let row = 0, at = 0; row < rows; row += 1) {
    const tall = sideOf(row, rows, height, block);
    for (let column = 0; column < columns; column += 1, at += 3) {
      const area = tall * sideOf(column, columns, width, block);
      sums[at]! /= area;
      sums[at + 1]! /= area;
      sums[at + 2]! /= area;
    }
  }
}

/** Pixels along a side of one block; the last one is cut. */
function sideOf(at: number, count: number, pixels: number, block: number): number {
  return at === count - 1 ? pixels - at * block : block;
}

/** Takes a picture's pixels, some rows at a time. */
export interface BlockGatherer {
  /** @param pixels  whole rows, three bytes a pixel, following those that were added before */
  readonly addRows: (pixels: Uint8Array) => void;
  readonly finish: () => BlockGrid;
}

/**
 * Gathers a picture's pixels into blocks: eight bits a channel in, mean linear light out. Sums are whole numbers,
 * 65535 × 1.2 × 10^8 at most.
 *
 * @param linear  light of each byte; see `LINEAR_OF_BYTE`
 * @throws CoreError "picture/too-large" {width, height, most} in millions of pixels
 */
export function gatherBlocks(
  { width, height }: { readonly width: number; readonly height: number },
  block: number,
  linear: Float64Array,
): BlockGatherer {
  if (width * height > MAX_PICTURE_PIXELS) {
    throw new CoreError('picture/too-large', { width, height, most: MAX_PICTURE_PIXELS / 1_000_000 });
  }
  const columns = blocksAlong(width, block);
  const rows = blocksAlong(height, block);
  const sums = new Float64Array(columns * rows * 3);
  let row = 0;
  return {
    addRows: (pixels) => {
      for (let at = 0; at < pixels.length; at += 3 * width, row += 1) {
        addRow(pixels, at, { width, block, linear, sums, to: Math.floor(row / block) * columns * 3 });
      }
    },
    finish: () => {
      divideByAreas(sums, { width, height, block, columns, rows });
      return { width, height, block, columns, rows, light: sums };
    },
  };
}

interface RowOfBlocks {
  readonly width: number;
  readonly block: number;
  readonly linear: Float64Array;
  readonly sums: Float64Array;
  /** Where the row's first block stands in the sums. */
  readonly to: number;
}

/** One row of pixels into its blocks. A hot loop, its channels unrolled. */
function addRow(pixels: Uint8Array, from: number, { width, block, linear, sums, to }: RowOfBlocks): void {
  let at = from;
  for (let x = 0, place = to; x < width; x += block, place += 3) {
    const end = at + 3 * Math.min(block, width - x);
    let red = 0;
    let green = 0;
    let blue = 0;
    for (; at < end; at += 3) {
      red += linear[pixels[at]!]!;
      green += linear[pixels[at + 1]!]!;
      blue += linear[pixels[at + 2]!]!;
    }
    sums[place]! += red;
    sums[place + 1]! += green;
    sums[place + 2]! += blue;
  }
}
