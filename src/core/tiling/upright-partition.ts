import type { Shade } from '../colour/shade.ts';
import { CoreError } from '../error.ts';
import { latticePoint, type PlaneLattice, pointsIn, uprightRepeat } from '../exact/lattice.ts';
import { addPoints } from '../exact/plane.ts';
import { type Surd, ZERO_SURD } from '../exact/surd.ts';
import type { Partition } from './partition.ts';
import { type FaceRing, ringed } from './rings.ts';
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
 * @param rings   inside every face
 * @throws CoreError "tiling/no-repeat" where no upright rectangle repeats, "tiling/faces" {most}
 */
export function layUpright(
  tiling: Tiling,
  colours: FaceColours,
  shades: readonly Shade[],
  rings: readonly FaceRing[] = [],
): UprightTiling {
  const upright = uprightRepeat(colours.keeps);
  if (upright === undefined) throw new CoreError('tiling/no-repeat', {});
  const whole: PlaneLattice = [
    { x: upright.width, y: ZERO_SURD },
    { x: ZERO_SURD, y: upright.height },
  ];
  const cells = pointsIn(tiling.lattice, whole, Math.floor(MAX_FACES / partsOf(tiling, rings)));
  if (cells === undefined) throw new CoreError('tiling/faces', { most: MAX_FACES });
  const placed = cells.flatMap(([i, j]) => {
    const shift = latticePoint(tiling.lattice, [i, j]);
    return tiling.faces.flatMap((corners, face) =>
      ringed(
        {
          corners: corners.map((corner) => addPoints(corner, shift)),
          shade: colours.shadeOf(face, i, j),
        },
        rings,
      ),
    );
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

/** Parts that the faces of a cell are made of. */
function partsOf({ faces }: Tiling, rings: readonly FaceRing[]): number {
  return faces.reduce((sum, { length }) => sum + 1 + length * rings.length, 0);
}
