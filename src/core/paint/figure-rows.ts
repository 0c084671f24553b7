import { edgesByRows } from './edge-lists.ts';
import { over } from './light-rows.ts';
import { accumulateRow, CHANNELS, isTouched, type RowSums, WHOLE } from './row-sums.ts';
import type { Cover } from './soft-cover.ts';
import type { Standing } from './stand-alone.ts';

/** Where a row of a figure is laid: its first pixel on the line, and how many of the line there are. */
export interface RowRoom {
  readonly left: number;
  readonly room: number;
  readonly line: Float64Array;
}

/** Lays one row of a figure, counted from its top, over a line. */
export type FigureRow = (row: number, where: RowRoom) => void;

/** A figure in one light: rows of its coverage. @param sums  room for the widest figure, empty before and after */
export function plainRows(standing: Standing, light: Float64Array, sums: RowSums): FigureRow {
  const { edges, differences, across } = standing;
  const listAt = edgesByRows(edges);
  const [red, green, blue, whole] = light as unknown as [number, number, number, number];
  return (row, { left, room, line }) => {
    accumulateRow(edges, listAt(row), row, differences, sums);
    const to = Math.min(across, room - left);
    let cover = 0;
    let share = 0;
    for (let x = 0; x < to; x += 1) {
      if (isTouched(sums.touched, x)) {
        cover += sums.sums[x * CHANNELS + 3]!;
        // Rounding may lay outlines a subpixel over each other.
        share = Math.min(1, Math.max(0, cover / WHOLE));
      }
      if (share === 0 || left + x < 0) continue;
      over(line, (left + x) * CHANNELS, red * share, green * share, blue * share, whole * share);
    }
    emptyFirst(sums, across);
  };
}

/** The cover of a figure, row by row. */
export function coverOf({ edges, differences, across, down }: Standing, sums: RowSums): Cover {
  const listAt = edgesByRows(edges);
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

/** A figure in light that fades. @param along  how far along the fade a pixel of the figure lies */
export function fadedRows(
  cover: Cover,
  lights: readonly Float64Array[],
  along: (x: number, y: number) => number,
): FigureRow {
  const shares = new Float64Array(cover.across);
  const light = new Float64Array(CHANNELS);
  return (row, { left, room, line }) => {
    cover.rowAt(row, shares);
    const to = Math.min(cover.across, room - left);
    for (let x = Math.max(0, -left); x < to; x += 1) {
      const share = shares[x]!;
      if (share === 0) continue;
      lightAlong(lights, along(x, row), light);
      layLight(line, (left + x) * CHANNELS, light, share);
    }
  };
}

/** Puts the light at a part of a fade into `light`. */
function lightAlong(lights: readonly Float64Array[], along: number, light: Float64Array): void {
  const place = Math.min(1, Math.max(0, along)) * (lights.length - 1);
  const step = Math.min(lights.length - 2, Math.floor(place));
  const one = lights[step]!;
  const other = lights[step + 1]!;
  for (let channel = 0; channel < CHANNELS; channel += 1) {
    light[channel] = one[channel]! + (other[channel]! - one[channel]!) * (place - step);
  }
}

function layLight(line: Float64Array, at: number, light: Float64Array, share: number): void {
  over(line, at, light[0]! * share, light[1]! * share, light[2]! * share, light[3]! * share);
}

/** A soft figure in one light. @param strength  0 … 1 */
export function softRows(cover: Cover, light: Float64Array, strength: number): FigureRow {
  const shares = new Float64Array(cover.across);
  return (row, { left, room, line }) => {
    cover.rowAt(row, shares);
    const to = Math.min(cover.across, room - left);
    for (let x = Math.max(0, -left); x < to; x += 1) {
      const share = shares[x]! * strength;
      if (share > 0) layLight(line, (left + x) * CHANNELS, light, share);
    }
  };
}
