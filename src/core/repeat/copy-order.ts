import type { RowOrder } from './repeat-unit.ts';

/** A figure's copy so many repeats to the right and upward. */
export interface CopyPlace {
  /** Which of the figures, in painting order. */
  readonly index: number;
  /** The figure's own row, and the piece that it is part of. */
  readonly row: number;
  readonly piece: number;
  /** Whether it goes on into other repeats, and so lies below all rows. */
  readonly endless: boolean;
  readonly right: number;
  readonly up: number;
}

/** Copies in the one order of the whole plane in which they are painted: by row, by piece, by place, by figure. */
export function paintedBefore(rows: RowOrder | undefined): (one: CopyPlace, other: CopyPlace) => number {
  return (one, other) =>
    rowOf(one, rows) - rowOf(other, rows) ||
    one.piece - other.piece ||
    one.up - other.up ||
    one.right - other.right ||
    one.index - other.index;
}

/** A copy's row; 0 where none lie over each other. */
function rowOf({ row, right, up, endless }: CopyPlace, rows: RowOrder | undefined): number {
  if (rows === undefined) return 0;
  return endless ? Number.MIN_SAFE_INTEGER : row + up * rows.up + right * rows.right;
}

/** Whole repeats by which a stretch is moved to come into 0 … room, touching it not counted. */
export function repeatsInto(from: number, length: number, repeat: number, room: number): readonly number[] {
  const first = Math.floor(-(from + length) / repeat) + 1;
  const last = Math.ceil((room - from) / repeat) - 1;
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, at) => first + at);
}
