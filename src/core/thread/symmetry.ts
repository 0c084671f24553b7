import type { Cells } from './cells.ts';
import { cellAt } from './cells.ts';

/**
 * Whether a sequence that comes round reads the same backward from some place: whether it has an axis.
 * The reversed sequence is looked for in two rounds of it, by the failure function of D. E. Knuth, J. H. Morris,
 * V. R. Pratt, SIAM J. Comput. 6 (1977) 323–350.
 */
export function isSymmetric(threads: Uint16Array): boolean {
  const length = threads.length;
  const wanted = threads.slice().reverse();
  const border = new Uint32Array(length);
  for (let at = 1, matched = 0; at < length; at += 1) {
    while (matched > 0 && wanted[at] !== wanted[matched]) matched = border[matched - 1]!;
    if (wanted[at] === wanted[matched]) matched += 1;
    border[at] = matched;
  }
  for (let at = 0, matched = 0; at < 2 * length; at += 1) {
    const thread = threads[at % length];
    while (matched > 0 && (matched === length || thread !== wanted[matched])) matched = border[matched - 1]!;
    if (thread === wanted[matched]) matched += 1;
    if (matched === length) return true;
  }
  return false;
}

/** Largest repeat that is turned and compared, and most cells that are looked at; beyond them nobody is told. */
const MAX_TURNED = 400;
const MAX_LOOKED = 20_000_000;

/** Whether cells turned by 90° are the same cells, moved; undefined when the repeat is too large to try. */
export function isSameTurned(cells: Cells): boolean | undefined {
  const { width, height } = cells;
  if (width !== height) return false;
  if (width > MAX_TURNED) return undefined;
  const hexes = cells.shades.map((shade) => shade.hex);
  const plane = new Uint16Array(width * height);
  for (let y = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1) plane[y * width + x] = hexes.indexOf(hexes[cellAt(cells, x, y)]!);
  }
  let looked = 0;
  for (let move = 0; move < width * height; move += 1) {
    const same = sameCells(plane, width, move % width, Math.floor(move / width));
    if (same === width * height) return true;
    looked += same + 1;
    if (looked > MAX_LOOKED) return undefined;
  }
  return false;
}

/** How many cells are the same, row by row until one is not, when the plane is turned by 90° and moved by (dx, dy). */
function sameCells(plane: Uint16Array, side: number, dx: number, dy: number): number {
  for (let at = 0; at < plane.length; at += 1) {
    const x = at % side;
    const y = Math.floor(at / side);
    if (plane[at] !== plane[((x + dy) % side) * side + ((side - 1 - y + dx) % side)]) return at;
  }
  return plane.length;
}
