import type { Shade } from '../colour/shade.ts';
import { CoreError } from '../error.ts';
import { type PlaneLattice, pointsIn, uprightRepeat } from '../exact/lattice.ts';
import { addPoints, type Point, scalePoint } from '../exact/plane.ts';
import { addSurds, type Surd, surd, ZERO_SURD } from '../exact/surd.ts';
import { surdText } from '../exact/surd-text.ts';
import { cornerAt } from '../faces/check-partition.ts';
import { insetWays } from '../faces/inset-corners.ts';
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
  const pointAt = cornerPoints(tiling.lattice);
  const folded = foldTiling(tiling);
  const faces = cells.flatMap((cell) =>
    folded.faces.map(({ corners }, face) => ({
      face,
      cell,
      corners: corners.map(({ vertex, across, up }) => {
        const { x, y } = folded.vertices[vertex]!;
        return pointAt(vertex, { u: x, v: y }, cell[0] + across, cell[1] + up);
      }),
      shade: colours.shadeOf(face, cell[0], cell[1]),
    })),
  );
  return { ...upright, faces };
}

/**
 * Points in the cells of a lattice, each made once, so that faces that share a corner share its object.
 * @returns  the point of a vertex, in steps of the lattice, in the cell (i, j)
 */
function cornerPoints(lattice: PlaneLattice) {
  const cells = new Map<number, Point[]>();
  return (vertex: number, { u, v }: { readonly u: Surd; readonly v: Surd }, i: number, j: number): Point => {
    // There are far fewer than 2^20 cells, and so steps along each vector.
    const name = i * 2 ** 21 + j;
    let points = cells.get(name);
    if (points === undefined) {
      points = [];
      cells.set(name, points);
    }
    points[vertex] ??= addPoints(
      scalePoint(lattice[0], addSurds(u, surd(i))),
      scalePoint(lattice[1], addSurds(v, surd(j))),
    );
    return points[vertex];
  };
}

/** What is made of faces. */
export interface FacesWish {
  /** Inside every face. */
  readonly rings?: readonly FaceRing[];
  /** How far gaps make every face smaller, in the tiling's unit. */
  readonly gap?: Surd | undefined;
  /** Of what is left inside the rings; left out, its shade. */
  readonly fillOf?: ((corners: readonly Point[], shade: number) => Fill) | undefined;
}

/**
 * A laid tiling as a partition.
 * @param shades  those that the faces' shades count, from 0
 * @throws CoreError as `ringed`
 */
export function partitionOf(
  laid: LaidTiling,
  shades: readonly Shade[],
  { rings = [], gap, fillOf }: FacesWish = {},
): Partition {
  const { width, height, faces } = laid;
  const insetOf = insetsOf(laid);
  const parts = faces.flatMap((face) => {
    const seen = gap === undefined || rings.length === 0 ? face.corners : insetOf(face, gap);
    // A face that is all gap has nothing to be seen.
    if (seen === undefined) return [{ ...face, innermost: true }];
    const all = ringed(
      { ...face, seen, insetOf: (by) => insetOf(face, gap === undefined ? by : addSurds(gap, by)) },
      rings,
    );
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

/**
 * Tells what of a laid face lies inside a distance from its sides, a point a corner; undefined where nothing does. Faces
 * that are the same but for where they lie are made smaller once.
 */
export function insetsOf({
  faces,
}: LaidTiling): (face: LaidFace, distance: Surd) => readonly Point[] | undefined {
  const known = new Map<string, readonly Point[] | undefined>();
  const first = new Map(faces.map((face) => [face.face, face]));
  return ({ face, corners }, distance) => {
    const name = `${face} ${surdText(distance)}`;
    if (!known.has(name)) known.set(name, insetWays(first.get(face)!.corners, distance));
    return known.get(name)?.map((way, at) => addPoints(corners[at]!, way));
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
