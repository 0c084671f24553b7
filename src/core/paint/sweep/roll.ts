import { modulo } from '../../exact/modulo.ts';
import type { Edges } from '../partition-edges.ts';

/** After `rows` rows every edge stands `pixels` further to the right. */
export interface Roll {
  readonly rows: number;
  readonly pixels: number;
}

/** Rows that are kept to be rolled. */
const MOST_ROWS = 64;

/**
 * How rows come again in faces between parallel lines that go round the repeat; undefined where they are not such, or
 * come again too late.
 *
 * @param same  for each shade the first of the same light
 * @param rows  of the repeat
 */
export function rollOf(edges: Edges, same: Int32Array, rows: number): Roll | undefined {
  const { count, y, dx, dy, ahead, back, width, height } = edges;
  let along: { readonly x: number; readonly y: number } | undefined;
  for (let edge = 0; edge < count; edge += 1) {
    if (same[ahead[edge]!] === same[back[edge]!]) continue;
    const way = { x: dx[edge]!, y: dy[edge]! };
    // A line that does not meet its own beginning, or has one within a row.
    if (way.y === 0 || y[edge]! % 256 !== 0 || way.x % width !== 0 || way.y % height !== 0) return undefined;
    along ??= way;
    if (way.x * along.y !== along.x * way.y) return undefined;
  }
  if (along === undefined) return { rows: 1, pixels: 0 };
  const shared = greatestDivisor(Math.abs(along.x), along.y);
  const after = along.y / shared;
  if (after > Math.min(MOST_ROWS, rows / 2)) return undefined;
  return { rows: after, pixels: modulo(along.x / shared, width / 256) };
}

function greatestDivisor(one: number, other: number): number {
  return other === 0 ? one : greatestDivisor(other, one % other);
}
