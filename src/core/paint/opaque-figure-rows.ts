import { listsOf, nextTouched } from './figure-rows.ts';
import type { OpaqueLine } from './opaque-line.ts';
import type { ShadePaint } from './opaque-marks.ts';
import type { FigureRow } from './overlaid-figures.ts';
import { accumulateRow, CHANNELS, type RowSums, WHOLE } from './row-sums.ts';
import type { Standing } from './stand-alone.ts';

/** A figure in one shade: rows of its coverage. A hot loop. */
export function opaqueFigureRows(
  standing: Standing,
  { pixel, light }: ShadePaint,
  sums: RowSums,
): FigureRow<OpaqueLine> {
  const { edges, differences, across } = standing;
  const listAt = listsOf(standing);
  return (row, left, room, line) => {
    accumulateRow(edges, listAt(row), row, differences, sums);
    const { sums: changes, touched } = sums;
    const from = Math.max(0, -left);
    const to = Math.min(across, room - left);
    let cover = 0;
    for (let x = 0; x < to; ) {
      cover += changes[x * CHANNELS + 3]!;
      changes[x * CHANNELS + 3] = 0;
      // To the next pixel where anything changes, it stays so.
      const next = Math.min(to, nextTouched(touched, x + 1, across));
      // Rounding may lay outlines a subpixel over each other.
      const share = Math.min(1, Math.max(0, cover / WHOLE));
      const first = left + Math.max(from, x);
      const end = left + next;
      if (share === 1) line.fill(first, end, pixel);
      else if (share > 0) line.mix(first, end, light, share);
      x = next;
    }
    // What lies past the window was not read.
    if (to < across) changes.fill(0, Math.max(0, to) * CHANNELS, (across + 2) * CHANNELS);
    changes[across * CHANNELS + 3] = 0;
    changes[(across + 1) * CHANNELS + 3] = 0;
    touched.fill(0, 0, ((across + 1) >> 5) + 1);
  };
}
