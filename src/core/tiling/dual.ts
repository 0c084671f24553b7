import { latticePoint } from '../exact/lattice.ts';
import { addPoints, middleOf } from '../exact/plane.ts';
import { foldTiling } from '../faces/torus.ts';
import { facesRound } from './around-vertex.ts';
import type { Tiling } from './tiling-form.ts';

/**
 * The dual: a face round each vertex, its corners the middles of the faces there.
 * Source: B. Grünbaum, G. C. Shephard, Tilings and Patterns, 1987, ch. 2 (the Laves tilings, for regular polygons).
 */
export function dualOf(tiling: Tiling): Tiling {
  const middles = tiling.faces.map(middleOf);
  const faces = facesRound(foldTiling(tiling)).map((around) =>
    around.map(({ face, across, up }) =>
      addPoints(middles[face]!, latticePoint(tiling.lattice, [across, up])),
    ),
  );
  return { lattice: tiling.lattice, faces };
}
