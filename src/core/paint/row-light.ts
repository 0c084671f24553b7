import { modulo } from '../exact/modulo.ts';
import { edgesByRows } from './edge-lists.ts';
import { leftBorder, startOf } from './left-border.ts';
import type { PaintWindow } from './painting.ts';
import type { Edges, Walked } from './partition-edges.ts';
import { accumulateRow, CHANNELS, emptySums, type RowSums } from './row-sums.ts';

/** The light of one row: what lies just left of it, times WHOLE, and what changes along it. To be emptied when read. */
export interface RowLight {
  readonly start: Float64Array;
  readonly row: RowSums;
}

/**
 * The light of faces on the torus of one repeat, row by row, each edge accumulated once with the difference of the light
 * on its two sides. All sums are whole numbers below 2^53, so the result does not depend on where the window lies.
 *
 * @param light  CHANNELS numbers a shade
 */
export function edgeLight(
  { edges, held }: Walked,
  light: Float64Array,
  { tile, width }: PaintWindow,
): (row: number) => RowLight {
  const left = leftBorder(edges, light, startOf(held, light));
  const lists = edgesByRows(edges);
  const differences = differencesOf(edges, light);
  const sums = emptySums(Math.min(width, tile.width));
  return (row) => {
    const y = modulo(row, tile.height);
    accumulateRow(edges, lists(y), y, differences, sums);
    return { start: left(y), row: sums };
  };
}

/** For each edge, the light of the face that it has ahead less that of the other: what it changes to its right. */
function differencesOf({ count, ahead, back }: Edges, light: Float64Array): Float64Array {
  const differences = new Float64Array(count * CHANNELS);
  for (let edge = 0; edge < count; edge += 1) {
    const one = ahead[edge]! * CHANNELS;
    const other = back[edge]! * CHANNELS;
    for (let channel = 0; channel < CHANNELS; channel += 1) {
      differences[edge * CHANNELS + channel] = light[one + channel]! - light[other + channel]!;
    }
  }
  return differences;
}
