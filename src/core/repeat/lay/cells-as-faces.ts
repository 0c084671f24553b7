import { CoreError } from '../../error.ts';
import type { Point } from '../../exact/plane.ts';
import { rational } from '../../exact/rational.ts';
import { type Surd, surd, ZERO_SURD } from '../../exact/surd.ts';
import type { Partition } from '../../faces/partition.ts';
import { withSharedCorners } from '../../faces/shared-corners.ts';
import { foldTiling } from '../../faces/torus.ts';
import type { Cells } from '../../thread/cells.ts';
import { MAX_LAID_FACES } from './lay-faces.ts';

/**
 * Cells as polygons: a rectangle wherever neighbouring cells have one shade side by side, in repeats.
 * @throws CoreError "lay/faces" {most}
 */
export function cellsAsFaces({ width, height, shades, rows, rowAt }: Cells): Partition {
  const across = portions(width);
  const up = portions(height);
  const boxes: { readonly corners: readonly Point[]; readonly shade: number }[] = [];
  for (let top = 0; top < height; ) {
    // Rows that are the same lie in one row of rectangles.
    let end = top + 1;
    while (end < height && rowAt[end] === rowAt[top]) end += 1;
    const row = rows[rowAt[top]!]!;
    for (let from = 0; from < width; ) {
      let to = from + 1;
      while (to < width && row[to] === row[from]) to += 1;
      const [left, right] = [across[from]!, across[to]!];
      const [low, high] = [up[height - end]!, up[height - top]!];
      boxes.push({
        corners: [
          { x: left, y: low },
          { x: right, y: low },
          { x: right, y: high },
          { x: left, y: high },
        ],
        shade: row[from]!,
      });
      from = to;
    }
    if (boxes.length > MAX_LAID_FACES) throw new CoreError('lay/faces', { most: MAX_LAID_FACES });
    top = end;
  }
  const one = surd(1);
  const torus = foldTiling({
    lattice: [
      { x: one, y: ZERO_SURD },
      { x: ZERO_SURD, y: one },
    ],
    faces: withSharedCorners(boxes.map(({ corners }) => corners)),
  });
  return {
    kind: 'partition',
    shades,
    vertices: torus.vertices,
    faces: torus.faces.map(({ corners }, at) => ({
      corners,
      fill: { kind: 'shade', shade: boxes[at]!.shade },
    })),
  };
}

function portions(count: number): readonly Surd[] {
  return Array.from({ length: count + 1 }, (_, at) => surd(rational(at, count)));
}
