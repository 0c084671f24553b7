import type { Cells } from '../src/core/thread/cells.ts';

/** What of a canvas' drawing is asked for here. */
interface Boxes {
  fillStyle: unknown;
  readonly fillRect: (x: number, y: number, width: number, height: number) => void;
}

/** Cells as boxes, a run of one shade each; the style is set only when it changes. @param size  pixels of a cell */
export function fillCells(context: Boxes, { rows, rowAt, shades, height, width }: Cells, size: number): void {
  let current = -1;
  for (let y = 0; y < height; y += 1) {
    const row = rows[rowAt[y]!]!;
    for (let x = 0, end = 0; x < width; x = end) {
      while (end < width && row[end] === row[x]) end += 1;
      if (row[x] !== current) {
        current = row[x]!;
        context.fillStyle = shades[current]!.hex;
      }
      context.fillRect(x * size, y * size, (end - x) * size, size);
    }
  }
}
