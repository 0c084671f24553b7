import { modulo } from '../../exact/modulo.ts';
import { multiply, rational, round } from '../../exact/rational.ts';
import { type Cells, cellAt } from '../../thread/cells.ts';
import type { BoxLay } from './arranged.ts';
import { placesOf } from './box-places.ts';
import type { BoxStand } from './group-blocks.ts';
import { isTransposing, standWay } from './stands.ts';

/** Most cells that are compared under each motion of a group; beyond, a part of the rows is looked at. */
const MOST_COMPARED = 2_000_000;

/**
 * How many cells of a laid cloth are not carried onto their like by the motions of its lay, counted on the laid cells and
 * not on how they were put together.
 * @param built  threads of what was laid
 */
export function missesOfLay(
  laid: Cells,
  lay: BoxLay,
  built: { readonly width: number; readonly height: number },
  shared: boolean,
): number {
  const step = {
    x: built.width - (shared && lay.mirrors.upright && built.width > 1 ? 1 : 0),
    y: built.height - (shared && lay.mirrors.level && built.height > 1 ? 1 : 0),
  };
  const { places } = placesOf(lay);
  const stands = new Set<BoxStand>();
  let misses = 0;
  for (const { x, y, stand } of places) {
    // One of each kind is enough: the lattice carries the others.
    if (stand === 'same' || stands.has(stand)) continue;
    stands.add(stand);
    const shift = {
      x: Number(round(multiply(x, rational(step.x)))),
      y: Number(round(multiply(y, rational(step.y)))),
    };
    misses += missesOf(laid, built, stand, shift);
  }
  return misses;
}

function missesOf(
  laid: Cells,
  built: { readonly width: number; readonly height: number },
  stand: BoxStand,
  shift: { readonly x: number; readonly y: number },
): number {
  // Where a motion carries the cell at the origin, and the next across and up.
  const first = cornerOf(built, stand);
  const across = standWay({ x: 1, y: 0 }, stand);
  const up = standWay({ x: 0, y: 1 }, stand);
  const skip = Math.max(1, Math.ceil((laid.width * laid.height) / MOST_COMPARED));
  let count = 0;
  for (let j = 0; j < laid.height; j += skip) {
    for (let i = 0; i < laid.width; i += 1) {
      const x = first.x + shift.x + i * across.x + j * up.x;
      const y = first.y + shift.y + i * across.y + j * up.y;
      if (at(laid, i, j) !== at(laid, x, y)) count += 1;
    }
  }
  return count;
}

/** Where a stand carries the lower left cell of a box of so many. */
function cornerOf(
  { width, height }: { readonly width: number; readonly height: number },
  stand: BoxStand,
): { readonly x: number; readonly y: number } {
  const across = standWay({ x: 1, y: 0 }, stand);
  const up = standWay({ x: 0, y: 1 }, stand);
  const wide = isTransposing(stand) ? height : width;
  const high = isTransposing(stand) ? width : height;
  return { x: across.x + up.x < 0 ? wide - 1 : 0, y: across.y + up.y < 0 ? high - 1 : 0 };
}

/** Shade at an end and a pick, both counted from the lower left. */
function at(cells: Cells, end: number, pick: number): number {
  return cellAt(cells, end, modulo(cells.height - 1 - pick, cells.height));
}
