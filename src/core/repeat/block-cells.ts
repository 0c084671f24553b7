import type { Cells } from '../thread/cells.ts';

/** So many repeats side by side and above each other. */
export interface Block {
  readonly across: number;
  readonly down: number;
}

/** Most cells along a side of a block that is painted as one. */
export const MOST_CELLS = 65_536;

/** Cells repeated. */
export function blockCells(cells: Cells, { across, down }: Block): Cells {
  const along = (row: Uint16Array) => {
    const longer = new Uint16Array(row.length * across);
    for (let at = 0; at < longer.length; at += row.length) longer.set(row, at);
    return longer;
  };
  const rowAt = new Uint32Array(cells.height * down);
  for (let at = 0; at < rowAt.length; at += cells.height) rowAt.set(cells.rowAt, at);
  const { over } = cells;
  return {
    ...cells,
    width: cells.width * across,
    height: cells.height * down,
    rows: cells.rows.map(along),
    rowAt,
    ...(over === undefined ? {} : { over: over.map((row) => Uint8Array.from(along(Uint16Array.from(row)))) }),
  };
}
