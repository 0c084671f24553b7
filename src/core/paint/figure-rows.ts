import { LINEAR_ONE } from '../colour/linear.ts';
import { SUBPIXELS } from '../shape/grid.ts';
import { edgesByRows } from './edge-lists.ts';
import { over, rowOf } from './light-rows.ts';
import type { FigureRow } from './overlaid-figures.ts';
import type { LightAt } from './picture-light.ts';
import { accumulateRow, CHANNELS, type Placed, type RowSums, WHOLE } from './row-sums.ts';
import type { Cover } from './soft-cover.ts';
import type { Standing } from './stand-alone.ts';

/** Rows of a figure's light. */
type LightRow = FigureRow<Float64Array>;

/** Rows up to which all lists of edges of a figure are made at once, and rows that have one list. */
const FEW_ROWS = 1024;
const ROWS = 4;

/** The edges that change anything in a row. */
export function listsOf({ edges, down }: Standing): (row: number) => Placed {
  if (down > FEW_ROWS) return edgesByRows(edges);
  const lists: { edges: number[]; tops: number[] }[] = [];
  for (let list = 0; list * ROWS < down; list += 1) lists.push({ edges: [], tops: [] });
  for (let edge = 0; edge < edges.count; edge += 1) {
    const top = edges.y[edge]!;
    const first = Math.floor(top / (ROWS * SUBPIXELS));
    const last = Math.floor((top + edges.dy[edge]! - 1) / (ROWS * SUBPIXELS));
    for (let list = first; list <= last; list += 1) {
      lists[list]!.edges.push(edge);
      lists[list]!.tops.push(top);
    }
  }
  return (row) => lists[Math.floor(row / ROWS)]!;
}

/** A figure in one light: rows of its coverage. @param sums  room for the widest figure, empty before and after */
export function plainRows(standing: Standing, light: Float64Array, sums: RowSums): LightRow {
  const { edges, differences, across } = standing;
  const listAt = listsOf(standing);
  const [red, green, blue, whole] = light as unknown as [number, number, number, number];
  const isOpaque = whole === LINEAR_ONE;
  const solid = isOpaque ? rowOf(light, across) : undefined;
  return (row, left, room, line) => {
    accumulateRow(edges, listAt(row), row, differences, sums);
    const { sums: changes, touched } = sums;
    const from = Math.max(0, -left);
    const to = Math.min(across, room - left);
    let cover = 0;
    for (let x = 0; x < to; ) {
      cover += changes[x * CHANNELS + 3]!;
      // To the next pixel where anything changes, it stays so.
      const next = Math.min(to, nextTouched(touched, x + 1, across));
      // Rounding may lay outlines a subpixel over each other.
      const share = Math.min(1, Math.max(0, cover / WHOLE));
      const first = Math.max(from, x);
      if (share > 0 && first < next) {
        if (share === 1 && solid !== undefined) {
          line.set(solid.subarray(0, (next - first) * CHANNELS), (left + first) * CHANNELS);
        } else {
          for (let at = (left + first) * CHANNELS; at < (left + next) * CHANNELS; at += CHANNELS) {
            over(line, at, red * share, green * share, blue * share, whole * share);
          }
        }
      }
      x = next;
    }
    emptyFirst(sums, across);
  };
}

/** The first pixel from one on that has anything to take up, or `across`. */
export function nextTouched(touched: Int32Array, from: number, across: number): number {
  for (let word = from >> 5; word <= across >> 5; word += 1) {
    const bits = word === from >> 5 ? touched[word]! & (-1 << (from & 31)) : touched[word]!;
    // The lowest bit that is set.
    if (bits !== 0) return (word << 5) + 31 - Math.clz32(bits & -bits);
  }
  return across;
}

/** The cover of a figure, row by row. */
export function coverOf(standing: Standing, sums: RowSums): Cover {
  const { edges, differences, across, down } = standing;
  const listAt = listsOf(standing);
  return {
    across,
    down,
    rowAt: (row, shares) => {
      accumulateRow(edges, listAt(row), row, differences, sums);
      let cover = 0;
      for (let x = 0; x < across; x += 1) {
        cover += sums.sums[x * CHANNELS + 3]!;
        shares[x] = Math.min(1, Math.max(0, cover / WHOLE));
      }
      emptyFirst(sums, across);
    },
  };
}

function emptyFirst({ sums, touched }: RowSums, across: number): void {
  sums.fill(0, 0, (across + 2) * CHANNELS);
  touched.fill(0, 0, ((across + 1) >> 5) + 1);
}

/** A figure in light of its own at each pixel. */
export function variedRows(cover: Cover, lightAt: LightAt): LightRow {
  const shares = new Float64Array(cover.across);
  const light = new Float64Array(CHANNELS);
  return (row, left, room, line) => {
    cover.rowAt(row, shares);
    const to = Math.min(cover.across, room - left);
    for (let x = Math.max(0, -left); x < to; x += 1) {
      const share = shares[x]!;
      if (share === 0) continue;
      lightAt(x, row, light);
      layLight(line, (left + x) * CHANNELS, light, share);
    }
  };
}

/** The light of a fade. @param along  how far along it a pixel lies */
export function fadeLightAt(
  lights: readonly Float64Array[],
  along: (x: number, y: number) => number,
): LightAt {
  return (x, y, light) => {
    const place = Math.min(1, Math.max(0, along(x, y))) * (lights.length - 1);
    const step = Math.min(lights.length - 2, Math.floor(place));
    const one = lights[step]!;
    const other = lights[step + 1]!;
    for (let channel = 0; channel < CHANNELS; channel += 1) {
      light[channel] = one[channel]! + (other[channel]! - one[channel]!) * (place - step);
    }
  };
}

function layLight(line: Float64Array, at: number, light: Float64Array, share: number): void {
  over(line, at, light[0]! * share, light[1]! * share, light[2]! * share, light[3]! * share);
}

/** A soft figure in one light. @param strength  0 … 1 */
export function softRows(cover: Cover, light: Float64Array, strength: number): LightRow {
  const shares = new Float64Array(cover.across);
  return (row, left, room, line) => {
    cover.rowAt(row, shares);
    const to = Math.min(cover.across, room - left);
    for (let x = Math.max(0, -left); x < to; x += 1) {
      const share = shares[x]! * strength;
      if (share > 0) layLight(line, (left + x) * CHANNELS, light, share);
    }
  };
}
