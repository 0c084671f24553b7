import { modulo } from '../exact/modulo.ts';
import type { PaintRoll } from '../repeat/check-repeat.ts';
import type { RepeatUnit } from '../repeat/repeat-unit.ts';
import { leaksOf } from './leaks.ts';
import { isSharp, type PaintWindow, paintRows, preparePainting } from './painting.ts';

/**
 * Most pixels that are painted for the proof, sharp or averaged; a larger tile is proven at a smaller size, and the
 * report says so.
 */
export const MAX_PROOF_PIXELS = { sharp: 1 << 24, averaged: 1 << 22 } as const;

/** Rows painted at a time. */
const BAND = 64;

/** The painted proof within the usual limits. */
export const paintRoll: PaintRoll = rollWithin(MAX_PROOF_PIXELS);

/**
 * A proof that paints one repeat at offset (0, 0) and again half a tile away each way, rolls the second back and
 * compares byte for byte; faces are painted once more over a loud ground, of which no pixel may take any.
 * @param most  pixels that may be painted, sharp or averaged
 */
export function rollWithin(most: Readonly<Record<keyof typeof MAX_PROOF_PIXELS, number>>): PaintRoll {
  return (unit, tile) => {
    const { width, height } = proofSize(tile, isSharp(unit.content, tile) ? most.sharp : most.averaged);
    const half = { x: Math.floor(width / 2), y: Math.floor(height / 2) };
    const straight = painter(unit, { width, height }, { x: 0, y: 0 });
    const shifted = painter(unit, { width, height }, half);
    const leaks = leaksOf(unit, { width, height });
    const rows = Math.min(BAND, height);
    const first = new Uint32Array(width * rows);
    const second = new Uint32Array(width);
    let differingBytes = 0;
    let leakingPixels = 0;
    for (let from = 0; from < height; from += rows) {
      const count = Math.min(rows, height - from);
      paintRows(straight, from, count, first);
      for (let row = 0; row < count; row += 1) {
        paintRows(shifted, modulo(from + row - half.y, height), 1, second);
        const painted = first.subarray(row * width, (row + 1) * width);
        differingBytes += differences(painted, second, half.x);
        leakingPixels += leaks?.(from + row, painted) ?? 0;
      }
    }
    return {
      width,
      height,
      comparedBytes: width * height * 4,
      differingBytes,
      leakingPixels: leaks === undefined ? null : leakingPixels,
    };
  };
}

function painter(
  unit: RepeatUnit,
  tile: { width: number; height: number },
  offset: { x: number; y: number },
) {
  return preparePainting(unit, { tile, width: tile.width, offset, look: 'flat' });
}

function proofSize({ width, height }: PaintWindow['tile'], most: number): PaintWindow['tile'] {
  const shrink = Math.sqrt(most / (width * height));
  if (shrink >= 1) return { width, height };
  return { width: Math.max(1, Math.floor(width * shrink)), height: Math.max(1, Math.floor(height * shrink)) };
}

/** Bytes in which a row differs from one painted `shift` pixels further on, rolled back. */
function differences(row: Uint32Array, shifted: Uint32Array, shift: number): number {
  let count = 0;
  let from = (row.length - shift) % row.length;
  for (let x = 0; x < row.length; x += 1) {
    const gap = row[x]! ^ shifted[from]!;
    for (let bits = gap; bits !== 0; bits >>>= 8) if ((bits & 255) !== 0) count += 1;
    from = from + 1 === row.length ? 0 : from + 1;
  }
  return count;
}
