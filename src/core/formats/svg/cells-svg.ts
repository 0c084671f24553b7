import { CoreError } from '../../error.ts';
import type { Cells } from '../../thread/cells.ts';
import { type DrawnPath, filled } from './drawn-path.ts';

/** Most rectangles of one drawing; beyond it a picture is the better file. */
export const MAX_SVG_BOXES = 1_000_000;

/** One path a shade; runs of a row that go on unchanged below are drawn as one box. */
export function drawCells(cells: Cells): readonly DrawnPath[] {
  const { width, height, rows, rowAt } = cells;
  const runs = rows.map(runsOf);
  const paths: string[][] = cells.shades.map(() => []);
  const top = new Uint32Array(width);
  let boxes = 0;
  let above: Runs | undefined;
  for (let y = 0; y <= height; y += 1) {
    const here = y < height ? runs[rowAt[y]!]! : undefined;
    if (here === above) continue;
    for (const x of above?.starts ?? []) {
      if (here !== undefined && goesOn(above!, here, x)) continue;
      paths[above!.shadeAt[x]!]!.push(
        `M${x} ${top[x]}h${above!.lengthAt[x]}v${y - top[x]!}h-${above!.lengthAt[x]}z`,
      );
      boxes += 1;
    }
    if (boxes > MAX_SVG_BOXES) throw new CoreError('svg/too-many', { boxes, most: MAX_SVG_BOXES });
    for (const x of here?.starts ?? []) {
      if (above === undefined || !goesOn(above, here!, x)) top[x] = y;
    }
    above = here;
  }
  return cells.shades
    .map(({ hex }, shade) => filled(hex, paths[shade]!))
    .filter((_, shade) => paths[shade]!.length > 0);
}

/** A row as runs of one shade. */
interface Runs {
  readonly starts: readonly number[];
  /** Cells of the run that starts at each place; 0 where none does. */
  readonly lengthAt: Uint32Array;
  readonly shadeAt: Uint16Array;
}

function runsOf(row: Uint16Array): Runs {
  const starts: number[] = [];
  const lengthAt = new Uint32Array(row.length);
  for (let x = 0, end = 0; x < row.length; x = end) {
    while (end < row.length && row[end] === row[x]) end += 1;
    starts.push(x);
    lengthAt[x] = end - x;
  }
  return { starts, lengthAt, shadeAt: row };
}

/** Whether the run that starts at `x` is the same in both rows. */
function goesOn(above: Runs, here: Runs, x: number): boolean {
  return above.lengthAt[x] === here.lengthAt[x] && above.shadeAt[x] === here.shadeAt[x];
}
