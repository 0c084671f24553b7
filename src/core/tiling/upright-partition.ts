import type { Shade } from '../colour/shade.ts';
import { CoreError } from '../error.ts';
import { latticePoint, type PlaneLattice, pointsIn, uprightRepeat } from '../exact/lattice.ts';
import { addPoints, type Point } from '../exact/plane.ts';
import { type Surd, ZERO_SURD } from '../exact/surd.ts';
import { cornerAt } from '../faces/check-partition.ts';
import type { Partition } from '../faces/partition.ts';
import { type FaceRing, ringed } from '../faces/rings.ts';
import { foldTiling } from '../faces/torus.ts';
import type { Fill } from '../shape/fill.ts';
import type { Tiling } from './tiling-form.ts';

/** Most faces of one upright repeat, parts between rings counted. */
export const MAX_FACES = 100_000;

/** How faces are coloured: what of the lattice keeps the shades, and the shade of a face of the cell at whole steps. */
export interface FaceColours {
  readonly keeps: PlaneLattice;
  readonly shadeOf: (face: number, i: number, j: number) => number;
}

/** A face where it lies, in the tiling's own unit. */
export interface LaidFace {
  /** Which of the tiling's faces, and how many steps of its lattice away. */
  readonly face: number;
  readonly cell: readonly [i: number, j: number];
  readonly corners: readonly Point[];
  readonly shade: number;
}

/** A coloured tiling in one upright repeat. */
export interface LaidTiling {
  readonly width: Surd;
  readonly height: Surd;
  readonly faces: readonly LaidFace[];
}

/**
 * Lays a coloured tiling out in the smallest upright rectangle that repeats.
 * @param parts  of which each face will be made, by its number of sides
 * @param most   parts in all
 * @throws CoreError "tiling/no-repeat" where no upright rectangle repeats, "tiling/faces" {most}
 */
export function layUpright(
  tiling: Tiling,
  colours: FaceColours,
  parts: (sides: number) => number = () => 1,
  most: number = MAX_FACES,
): LaidTiling {
  const upright = uprightRepeat(colours.keeps);
  if (upright === undefined) throw new CoreError('tiling/no-repeat', {});
  const perCell = tiling.faces.reduce((sum, { length }) => sum + parts(length), 0);
  const cells = pointsIn(tiling.lattice, wholeOf(upright), Math.floor(most / perCell));
  if (cells === undefined) throw new CoreError('tiling/faces', { most });
  const faces = cells.flatMap((cell) => {
    const shift = latticePoint(tiling.lattice, cell);
    return tiling.faces.map((corners, face) => ({
      face,
      cell,
      corners: corners.map((corner) => addPoints(corner, shift)),
      shade: colours.shadeOf(face, cell[0], cell[1]),
    }));
  });
  return { ...upright, faces };
}

/**
 * A laid tiling as a partition.
 * @param shades  those that the faces' shades count, from 0
 * @param rings   inside every face
 * @param fillOf  of what is left inside the rings; left out, its shade
 */
export function partitionOf(
  { width, height, faces }: LaidTiling,
  shades: readonly Shade[],
  rings: readonly FaceRing[] = [],
  fillOf?: (corners: readonly Point[], shade: number) => Fill,
): Partition {
  const parts = faces.flatMap((face) => {
    const all = ringed(face, rings);
    return all.map((part, at) => ({ ...part, innermost: at === all.length - 1 }));
  });
  const torus = foldTiling({
    lattice: wholeOf({ width, height }),
    faces: parts.map(({ corners }) => corners),
  });
  return {
    kind: 'partition',
    shades,
    vertices: torus.vertices,
    faces: torus.faces.map(({ corners }, index) => {
      const { shade, innermost } = parts[index]!;
      if (fillOf === undefined || !innermost) return { corners, fill: { kind: 'shade', shade } };
      const points = corners.map((corner) => cornerAt(torus, corner));
      return { corners, fill: fillOf(points, shade) };
    }),
  };
}

/** The vectors of an upright repeat. */
function wholeOf({ width, height }: Pick<LaidTiling, 'width' | 'height'>): PlaneLattice {
  return [
    { x: width, y: ZERO_SURD },
    { x: ZERO_SURD, y: height },
  ];
}

/** Parts that a face of so many sides is made of, at most. */
export function partsOf(sides: number, rings: number): number {
  return 1 + sides * rings;
}
