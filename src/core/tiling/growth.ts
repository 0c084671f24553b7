import { CoreError } from '../error.ts';
import {
  addPoints,
  cross,
  direction,
  ORIGIN,
  type Point,
  pointName,
  subtractPoints,
} from '../exact/plane.ts';
import { signOf, surdToNumber } from '../exact/surd.ts';

/** Numbers of sides that a face may be grown with: those whose corners are whole steps of 15°. */
export const GROWN_SIDES = [3, 4, 6, 8, 12] as const;
export type GrownSides = (typeof GROWN_SIDES)[number];

/** A face of a patch: the first lies by itself, every other one on a side of an earlier one. */
export interface GrownFace {
  readonly on: { readonly face: number; readonly side: number } | null;
  /** A regular polygon of that many sides, or a rhombus with an angle of so many steps of 15° at the side's end. */
  readonly shape: GrownSides | { readonly angle: number };
}

/** A face as it lies: sides of 1, in steps of 15°, counterclockwise. */
export interface PatchFace {
  readonly corners: readonly Point[];
  readonly directions: readonly number[];
}

/** A corner of a patch that faces do not yet close. */
export interface OpenCorner {
  readonly at: Point;
  /** Angle that no face takes, in steps of 15°. */
  readonly open: number;
}

/** Most faces of a patch. */
export const MAX_GROWN = 300;

/** Steps of 15° of a full turn. */
const ROUND = 24;

/**
 * Lays grown faces side to side.
 * @throws CoreError "growth/side" {face} where there is no such side, "growth/taken" {face} where the side has a face on both
 *         sides already, "growth/overlap" {face} where a face would lie over another; `face` counts from 1
 */
export function growPatch(faces: readonly GrownFace[]): readonly PatchFace[] {
  const patch: PatchFace[] = [];
  for (const face of faces) patch.push(nextFace(patch, face));
  return patch;
}

/** The face that would come next. @throws CoreError as `growPatch` */
export function nextFace(patch: readonly PatchFace[], { on, shape }: GrownFace): PatchFace {
  const face = patch.length + 1;
  if (on === null) {
    if (patch.length > 0) throw new CoreError('growth/side', { face });
    return laid(ORIGIN, 0, shape);
  }
  const under = patch[on.face];
  const way = under?.directions[on.side];
  if (under === undefined || way === undefined) throw new CoreError('growth/side', { face });
  // It walks the shared side the other way.
  const start = under.corners[(on.side + 1) % under.corners.length]!;
  const made = laid(start, way + ROUND / 2, shape);
  if (sidesTaken(patch).has(sideName(made, 0))) throw new CoreError('growth/taken', { face });
  if (patch.some((other) => overlap(made, other))) throw new CoreError('growth/overlap', { face });
  return made;
}

function laid(start: Point, first: number, shape: GrownFace['shape']): PatchFace {
  const directions = (
    typeof shape === 'number'
      ? Array.from({ length: shape }, (_, side) => first + (side * ROUND) / shape)
      : // The outer angle at the end of the first side is what is left of a half turn.
        [0, ROUND / 2 - shape.angle, ROUND / 2, ROUND - shape.angle].map((turn) => first + turn)
  ).map((way) => way % ROUND);
  const corners = [start];
  for (const way of directions.slice(0, -1)) corners.push(addPoints(corners.at(-1)!, direction(way)));
  return { corners, directions };
}

/** A side by the corner that it begins at and its direction, which tell it in a patch. */
function sideName({ corners, directions }: PatchFace, side: number): string {
  return `${pointName(corners[side]!)} ${directions[side]}`;
}

/** All sides that faces walk. */
function sidesTaken(patch: readonly PatchFace[]): ReadonlySet<string> {
  return new Set(patch.flatMap((face) => face.directions.map((_, side) => sideName(face, side))));
}

/** Sides that have a face on one side only, as places in the patch. */
export function freeSides(patch: readonly PatchFace[]): readonly { face: number; side: number }[] {
  const taken = sidesTaken(patch);
  return patch.flatMap((own, face) =>
    own.directions.flatMap((way, side) => {
      const end = own.corners[(side + 1) % own.corners.length]!;
      const back = `${pointName(end)} ${(way + ROUND / 2) % ROUND}`;
      return taken.has(back) ? [] : [{ face, side }];
    }),
  );
}

/** The corners that are open, with their angles. */
export function openCorners(patch: readonly PatchFace[]): readonly OpenCorner[] {
  const found = new Map<string, { at: Point; open: number }>();
  for (const { corners, directions } of patch) {
    corners.forEach((at, corner) => {
      const name = pointName(at);
      const known = found.get(name) ?? { at, open: ROUND };
      const before = directions.at(corner - 1)!;
      known.open -= insideAngle(before, directions[corner]!);
      found.set(name, known);
    });
  }
  return [...found.values()].filter(({ open }) => open > 0);
}

/** The angle inside a face between the side that comes to a corner and the one that leaves it. */
function insideAngle(coming: number, leaving: number): number {
  const turn = (leaving - coming + ROUND) % ROUND;
  return ROUND / 2 - turn;
}

/** Whether two convex faces share more than their borders: neither has a side that the other lies wholly outside of. */
function overlap(a: PatchFace, b: PatchFace): boolean {
  if (farApart(a, b)) return false;
  return !partedBy(a, b) && !partedBy(b, a);
}

/** Whether one face lies outside a side of the other, or on it. */
function partedBy({ corners, directions }: PatchFace, other: PatchFace): boolean {
  return corners.some((corner, side) => {
    const way = direction(directions[side]!);
    return other.corners.every((point) => signOf(cross(way, subtractPoints(point, corner))) <= 0);
  });
}

/** Faces whose first corners are so far apart that nothing need be asked: no face is 4 sides broad. */
function farApart(a: PatchFace, b: PatchFace): boolean {
  const one = a.corners[0]!;
  const other = b.corners[0]!;
  const x = surdToNumber(one.x) - surdToNumber(other.x);
  const y = surdToNumber(one.y) - surdToNumber(other.y);
  return x * x + y * y > 8 * 8;
}
