import { areaOf, type Point, subtractPoints } from '../exact/plane.ts';
import { surdToNumber } from '../exact/surd.ts';
import { checkPartition } from '../faces/check-partition.ts';
import { foldTiling } from '../faces/torus.ts';
import type { PatchFace } from './growth.ts';
import type { Tiling } from './tiling-form.ts';

/** A patch closed to a tiling, or what it lacks. */
export type Closing =
  | { readonly kind: 'closed'; readonly tiling: Tiling }
  /** No face is like another one moved, or all that are lie in one line. */
  | { readonly kind: 'no-shift' }
  | { readonly kind: 'one-way' }
  /** The share of the plane that the best two shifts would leave open. */
  | { readonly kind: 'gaps'; readonly open: number };

/** Shifts that are tried, the shortest first. */
const MOST_SHIFTS = 80;

/** Doubles sort out what is worth an exact proof: coordinates of patches are exact to some 10⁻¹³. */
const NEAR = 1e-6;

/** A face in doubles: a place that tells it, its area, and the exact face. */
interface RoughFace {
  readonly face: PatchFace;
  /** Which of the faces that a shift carries onto each other. */
  readonly kind: string;
  readonly x: number;
  readonly y: number;
  readonly area: number;
}

interface Shift {
  readonly exact: Point;
  readonly x: number;
  readonly y: number;
}

/**
 * Finds two shifts that carry a patch on over the whole plane, the smallest cell first: shifts are the ways between faces
 * that are alike, and two will do when the different faces have the area of their cell and fit together, proven exactly.
 */
export function closeGrowth(patch: readonly PatchFace[]): Closing {
  const faces = patch.map(roughly);
  const shifts = shiftsOf(faces);
  if (shifts.length === 0) return { kind: 'no-shift' };
  const pairs = pairsOf(shifts);
  if (pairs.length === 0) return { kind: 'one-way' };
  let open = 1;
  for (const { a, b, cell } of pairs) {
    const own = differentFaces(faces, a, b);
    const area = own.reduce((sum, face) => sum + face.area, 0);
    if (area < cell - NEAR) open = Math.min(open, 1 - area / cell);
    if (Math.abs(area - cell) > NEAR) continue;
    const tiling: Tiling = { lattice: [a.exact, b.exact], faces: own.map(({ face }) => face.corners) };
    if (checkPartition(foldTiling(tiling)).closed) return { kind: 'closed', tiling };
  }
  return { kind: 'gaps', open };
}

function roughly(face: PatchFace): RoughFace {
  // Counted from the side of the smallest direction, faces that a shift carries onto each other begin alike.
  const first = face.directions.indexOf(Math.min(...face.directions));
  const turned = face.directions.map((_, side) => face.directions[(side + first) % face.directions.length]!);
  const { x, y } = face.corners[first]!;
  return {
    face,
    kind: turned.join(' '),
    x: surdToNumber(x),
    y: surdToNumber(y),
    area: surdToNumber(areaOf(face.corners)),
  };
}

/** Ways from a face to one that is like it, each in one direction only, shortest first. */
function shiftsOf(faces: readonly RoughFace[]): readonly Shift[] {
  const known = new Map<string, Shift>();
  for (const one of faces) {
    for (const other of faces) {
      const x = other.x - one.x;
      const y = other.y - one.y;
      const forward = y > NEAR || (Math.abs(y) <= NEAR && x > NEAR);
      if (one.kind !== other.kind || !forward) continue;
      const name = `${Math.round(x / NEAR)} ${Math.round(y / NEAR)}`;
      if (!known.has(name)) known.set(name, { exact: wayBetween(one, other), x, y });
    }
  }
  return [...known.values()]
    .sort((a, b) => a.x * a.x + a.y * a.y - b.x * b.x - b.y * b.y)
    .slice(0, MOST_SHIFTS);
}

function wayBetween(one: RoughFace, other: RoughFace): Point {
  const cornerOf = ({ face }: RoughFace) =>
    face.corners[face.directions.indexOf(Math.min(...face.directions))]!;
  return subtractPoints(cornerOf(other), cornerOf(one));
}

/** Two shifts that are not in one line, turning left, by the area of their cell. */
function pairsOf(shifts: readonly Shift[]): readonly { a: Shift; b: Shift; cell: number }[] {
  return shifts
    .flatMap((one, at) =>
      shifts.slice(at + 1).flatMap((other) => {
        const cell = one.x * other.y - one.y * other.x;
        if (Math.abs(cell) <= NEAR) return [];
        return [{ a: cell > 0 ? one : other, b: cell > 0 ? other : one, cell: Math.abs(cell) }];
      }),
    )
    .sort((p, q) => p.cell - q.cell);
}

/** One of all faces that whole steps of two shifts carry onto each other. */
function differentFaces(faces: readonly RoughFace[], a: Shift, b: Shift): readonly RoughFace[] {
  const cell = a.x * b.y - a.y * b.x;
  const known = new Map<string, RoughFace>();
  for (const face of faces) {
    const u = (face.x * b.y - face.y * b.x) / cell;
    const v = (a.x * face.y - a.y * face.x) / cell;
    const name = `${face.kind} ${wrapped(u)} ${wrapped(v)}`;
    if (!known.has(name)) known.set(name, face);
  }
  return [...known.values()];
}

/** The fraction of a step, in parts of 10⁻⁶, a whole step being none. */
function wrapped(steps: number): number {
  const parts = Math.round(1 / NEAR);
  return Math.round((steps - Math.floor(steps)) * parts) % parts;
}
