import type { MixingTables } from '../../colour/mixing.ts';
import { modulo } from '../../exact/modulo.ts';
import { leftBorder, startOf } from '../left-border.ts';
import type { PaintWindow, RowPainter } from '../painting.ts';
import type { Walked } from '../partition-edges.ts';
import { ActiveEdges } from './active-edges.ts';
import { edgesByStart } from './edges-by-start.ts';
import { isSmall } from './is-small.ts';
import type { MixedLight } from './mixed-light.ts';
import { type Roll, rollOf } from './roll.ts';
import { sweepShades } from './sweep-shades.ts';
import { Sweeper } from './sweeper.ts';

/**
 * Opaque faces by a sweep over their edges: the same bytes as by the exact sums, many times faster.
 *
 * @param lights  CHANNELS numbers a shade, all of them opaque that are seen
 * @returns       undefined where numbers are too large for it
 */
export function sweepPainter(
  walked: Walked,
  lights: Float64Array,
  window: Pick<PaintWindow, 'tile' | 'width'>,
  tables: MixingTables,
): RowPainter | undefined {
  const sweeper = sweeperOf(walked, lights, window, tables);
  if (sweeper === undefined) return undefined;
  const { tile, width } = window;
  const across = Math.min(width, tile.width);
  const roll = across === tile.width ? rollOf(walked.edges, sweeper.shades.same, tile.height) : undefined;
  const layRow = roll === undefined ? sweptRows(sweeper) : rolledRows(sweeper, roll, across);
  return (row, out, at) => {
    layRow(modulo(row, tile.height), out, at);
    // What comes again is copied.
    for (let x = across; x < width; x += across) {
      out.copyWithin(at + x, at, at + Math.min(across, width - x));
    }
  };
}

/** @param kept  where the light of mixed pixels is kept for what is laid over them */
export function sweeperOf(
  { edges, held }: Walked,
  lights: Float64Array,
  { tile, width }: Pick<PaintWindow, 'tile' | 'width'>,
  { byteOf }: MixingTables,
  kept?: MixedLight,
): Sweeper | undefined {
  if (!isSmall(edges)) return undefined;
  const across = Math.min(width, tile.width);
  const shades = sweepShades(lights, byteOf);
  const leftOf = leftBorder(edges, lights, startOf(held, lights));
  const active = new ActiveEdges(edgesByStart(edges, shades, tile.height), across);
  return new Sweeper(active, shades, leftOf, { across, byteOf }, kept);
}

function sweptRows(sweeper: Sweeper): RowPainter {
  return (row, out, at) => {
    sweeper.paint(row);
    out.set(sweeper.pixels, at);
  };
}

/** Rows that come again some pixels further are painted once. */
function rolledRows(sweeper: Sweeper, { rows, pixels }: Roll, across: number): RowPainter {
  const lines: (Uint32Array | undefined)[] = [];
  return (row, out, at) => {
    const first = row % rows;
    let line = lines[first];
    if (line === undefined) {
      sweeper.paint(first);
      line = sweeper.pixels.slice();
      lines[first] = line;
    }
    const right = (((row - first) / rows) * pixels) % across;
    out.set(right === 0 ? line : line.subarray(0, across - right), at + right);
    if (right > 0) out.set(line.subarray(across - right), at);
  };
}
