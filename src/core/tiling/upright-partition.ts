import type { Shade } from '../colour/shade.ts';
import { CoreError } from '../error.ts';
import { latticePoint, type PlaneLattice, pointsIn, uprightRepeat } from '../exact/lattice.ts';
import { addPoints } from '../exact/plane.ts';
import { type Surd, ZERO_SURD } from '../exact/surd.ts';
import type { Partition } from './partition.ts';
import type { Tiling } from './tiling-form.ts';
import { foldTiling } from './torus.ts';

/** Most faces of one upright repeat. */
export const MAX_FACES = 20_000;

/** A tiling in one upright repeat, and how large that is in the tiling's own unit. */
export interface UprightTiling {
  readonly width: Surd;
  readonly height: Surd;
  readonly partition: Partition;
}

/** How faces are coloured: what of the lattice keeps the shades, and the shade of a face of the cell at whole steps. */
export interface FaceColours {
  readonly keeps: PlaneLattice;
  readonly shadeOf: (face: number, i: number, j: number) => number;
}

/**
 * Lays a coloured tiling out in the smallest upright rectangle that repeats.
 * @param shades  those that `shadeOf` counts, from 0
 * @throws CoreError "tiling/no-repeat" where no upright rectangle repeats, "tiling/faces" {most}
 */
export function layUpright(tiling: Tiling, colours: FaceColours, shades: readonly Shade[]): UprightTiling {
  const upright = uprightRepeat(colours.keeps);
  if (upright === undefined) throw new CoreError('tiling/no-repeat', {});
  const whole: PlaneLattice = [
    { x: upright.width, y: ZERO_SURD },
    { x: ZERO_SURD, y: upright.height },
  ];
  const cells = pointsIn(tiling.lattice, whole, Math.floor(MAX_FACES / tiling.faces.length));
  if (cells === undefined) throw new CoreError('tiling/faces', { most: MAX_FACES });
  const placed = cells.flatMap(([i, j]) => {
    const shift = latticePoint(tiling.lattice, [i, j]);
    return tiling.faces.map((corners, face) => ({
      corners: corners.map((corner) => addPoints(corner, shift)),
      shade: colours.shadeOf(face, i, j),
    }));
  });
  const torus = foldTiling({ lattice: whole, faces: placed.map(({ corners }) => corners) });
  return {
    width: upright.width,
    height: upright.height,
    partition: {
      kind: 'partition',
      shades,
      clear: shades.map(() => false),
      vertices: torus.vertices,
      faces: torus.faces.map(({ corners }, index) => ({ corners, shade: placed[index]!.shade })),
    },
  };
}
