import { rgbOf } from '../colour/hex.ts';
import { BYTE_OF_LINEAR, LINEAR_OF_BYTE } from '../colour/linear.ts';
import { modulo } from '../exact/modulo.ts';
import type { Cells } from '../thread/cells.ts';
import type { PaintWindow, RowPainter } from './painting.ts';

/**
 * Cells at a size that is not whole pixels each: every pixel takes the mean light of the cells it covers, by
 * exact shares. Weights are integers and the sums stay below 2^53 (65535 × 10^6 × 10^5), so the result does not
 * depend on where the window lies. Rounded once, at the end, a half up.
 */
export function paintAveragedCells(cells: Cells, { tile, width, offset }: PaintWindow): RowPainter {
  const light = lightOf(cells);
  const averaged = new Map<number, Float64Array>();
  const painted = new Map<string, Uint32Array>();
  const across = (key: number) => {
    const known = averaged.get(key) ?? averageRow(cells.rows[key]!, light, tile.width);
    averaged.set(key, known);
    return known;
  };
  const from = modulo(offset.x, tile.width);
  return (row, out, at) => {
    const shares = sharesOf(cells, modulo(row + offset.y, tile.height), tile.height);
    const name = shares.map(([key, weight]) => `${key}:${weight}`).join();
    let line = painted.get(name);
    if (line === undefined) {
      const once = mixRows(shares, across, cells.width * cells.height, tile.width);
      line = new Uint32Array(width);
      for (let x = 0; x < width; x += 1) line[x] = once[(from + x) % tile.width]!;
      if (painted.size < MOST_KEPT) painted.set(name, line);
    }
    out.set(line, at);
  };
}

/** Most different rows that are kept; further ones are computed again. */
const MOST_KEPT = 4096;

function lightOf({ shades }: Cells): Float64Array {
  return Float64Array.from(shades.flatMap((shade) => rgbOf(shade.hex).map((byte) => LINEAR_OF_BYTE[byte]!)));
}

/** The different rows under pixel row `y` of `height`, each with its share; the shares add up to the cell rows. */
function sharesOf(
  cells: Cells,
  y: number,
  height: number,
): readonly (readonly [key: number, weight: number])[] {
  const shares: [number, number][] = [];
  eachShare(y, height, cells.height, (cell, weight) => {
    const key = cells.rowAt[cell]!;
    const last = shares.at(-1);
    if (last?.[0] === key) last[1] += weight;
    else shares.push([key, weight]);
  });
  return shares;
}

/** Light of one row of cells in `pixels` pixels, three sums a pixel; weights add up to the number of cells. */
function averageRow(row: Uint16Array, light: Float64Array, pixels: number): Float64Array {
  const sums = new Float64Array(pixels * 3);
  for (let x = 0; x < pixels; x += 1) {
    eachShare(x, pixels, row.length, (cell, weight) => {
      const shade = row[cell]! * 3;
      sums[x * 3]! += weight * light[shade]!;
      sums[x * 3 + 1]! += weight * light[shade + 1]!;
      sums[x * 3 + 2]! += weight * light[shade + 2]!;
    });
  }
  return sums;
}

/** Cells under pixel `at`, when `pixels` pixels cover `cells` cells; one cell whole has weight `pixels`. */
function eachShare(
  at: number,
  pixels: number,
  cells: number,
  give: (cell: number, weight: number) => void,
): void {
  const start = at * cells;
  const end = start + cells;
  for (let cell = Math.floor(start / pixels); cell * pixels < end; cell += 1) {
    give(cell, Math.min(end, (cell + 1) * pixels) - Math.max(start, cell * pixels));
  }
}

function mixRows(
  shares: readonly (readonly [key: number, weight: number])[],
  across: (key: number) => Float64Array,
  total: number,
  pixels: number,
): Uint32Array {
  const sums = new Float64Array(pixels * 3);
  for (const [key, weight] of shares) {
    const row = across(key);
    for (let at = 0; at < sums.length; at += 1) sums[at]! += weight * row[at]!;
  }
  const bytes = new Uint8Array(pixels * 4);
  for (let x = 0; x < pixels; x += 1) {
    for (let channel = 0; channel < 3; channel += 1) {
      bytes[x * 4 + channel] =
        BYTE_OF_LINEAR[Math.floor((2 * sums[x * 3 + channel]! + total) / (2 * total))]!;
    }
    bytes[x * 4 + 3] = 255;
  }
  return new Uint32Array(bytes.buffer);
}
