import { CoreError } from '../../error.ts';
import { latticePoint, type PlaneLattice } from '../../exact/lattice.ts';
import {
  addPoints,
  coordinatesIn,
  type Point,
  scalePoint,
  subtractPoints,
  turnPoint,
} from '../../exact/plane.ts';
import { rational } from '../../exact/rational.ts';
import {
  addSurds,
  ceilSurd,
  compareSurds,
  divideSurds,
  equalSurds,
  floorSurd,
  multiplySurds,
  negateSurd,
  ONE_SURD,
  root,
  type Surd,
  surd,
  surdToNumber,
  ZERO_SURD,
} from '../../exact/surd.ts';
import { cornerAt } from '../../faces/check-partition.ts';
import type { Partition } from '../../faces/partition.ts';
import { withSharedCorners } from '../../faces/shared-corners.ts';
import { splitPolygon } from '../../faces/split-polygon.ts';
import { foldTiling } from '../../faces/torus.ts';
import { type Motion, movePlace, moveWay } from '../../shape/contour.ts';
import type { Fill } from '../../shape/fill.ts';
import type { Place } from '../../shape/places.ts';
import type { TrueSize } from '../repeat-unit.ts';
import { MAX_LAID_FACES, mapFill } from './lay-faces.ts';
import { type SixtyGroup, sixtyMotions, sixtySteps } from './sixty-groups.ts';

/** Whether an upright repeat is that of a lattice of 60° whose steps are as long as it is wide. */
export function isOnSixty({ width, height }: TrueSize): boolean {
  return equalSurds(height, multiplySurds(width, root(rational(1), 3)));
}

const HALF = surd(rational(1, 2));
/** 1/(2√3), the height of the middle of a triangle of side 1 over its side. */
const MIDDLE = root(rational(1, 6), 3);
const CORNER: Point = { x: ZERO_SURD, y: ZERO_SURD };
const FAR: Point = { x: ONE_SURD, y: ZERO_SURD };
const ABOVE: Point = { x: HALF, y: MIDDLE };
const BELOW: Point = { x: HALF, y: negateSurd(MIDDLE) };

/** What is copied, exact, in widths of the repeat, counterclockwise: as `copiedPart` has it. */
const PARTS: Readonly<Record<SixtyGroup, readonly Point[]>> = {
  p3: [CORNER, BELOW, FAR, ABOVE],
  p3m1: [CORNER, BELOW, ABOVE],
  p31m: [CORNER, FAR, ABOVE],
  p6: [CORNER, FAR, ABOVE],
  p6mm: [CORNER, { x: HALF, y: ZERO_SURD }, ABOVE],
};

/** The lattice in widths of the repeat. */
const LATTICE: PlaneLattice = [FAR, { x: HALF, y: root(rational(1, 2), 3) }];

interface PartFace {
  readonly corners: readonly Point[];
  readonly fill: Fill;
}

/**
 * Faces of one repeat of a lattice of 60°, copied by third and sixth turns: what lies in the part that is copied, cut
 * exactly at its edges.
 * @returns faces in repeats, which are as large as before
 * @throws CoreError "lay/faces" {most}
 */
export function laySixty(partition: Partition, group: SixtyGroup): Partition {
  const drawn = facesInPart(partition, PARTS[group]);
  const moves = sixtySteps(group);
  if (2 * drawn.length * moves.length > MAX_LAID_FACES) {
    throw new CoreError('lay/faces', { most: MAX_LAID_FACES });
  }
  const motions = sixtyMotions(group);
  const copies = moves.flatMap(({ turn, mirrored }, at) =>
    drawn.map(({ corners, fill }): PartFace => {
      const carried = corners.map((corner) => turnPoint(mirrored ? inLevel(corner) : corner, turn));
      return { corners: mirrored ? carried.reverse() : carried, fill: carriedFill(fill, motions[at]!) };
    }),
  );
  const laid = [CORNER, latticePoint(LATTICE, [0, 1])].flatMap((shift) =>
    copies.map(({ corners, fill }): PartFace => {
      const by = { x: surdToNumber(shift.x), y: surdToNumber(shift.y) };
      return {
        corners: corners.map((corner) => addPoints(corner, shift)),
        fill: mapFill(fill, { place: ({ x, y }) => ({ x: x + by.x, y: y + by.y }), way: (way) => way }),
      };
    }),
  );
  const tall = root(rational(1), 3);
  const shared = DIRECTIONS.reduce(
    sharedAlong,
    laid.map(({ corners }) => corners),
  );
  const torus = foldTiling({ lattice: [FAR, { x: ZERO_SURD, y: tall }], faces: shared });
  const high = surdToNumber(tall);
  return {
    ...partition,
    vertices: torus.vertices,
    faces: torus.faces.map(({ corners }, at) => ({
      corners,
      fill: mapFill(laid[at]!.fill, {
        place: ({ x, y }) => ({ x, y: y / high }),
        way: ({ x, y }) => ({ x, y: y / high }),
      }),
    })),
  };
}

/** A point mirrored in the level line through the corner. */
function inLevel({ x, y }: Point): Point {
  return { x, y: negateSurd(y) };
}

function carriedFill(fill: Fill, motion: Motion): Fill {
  return mapFill(fill, { place: (place) => movePlace(place, motion), way: (way) => moveWay(way, motion) });
}

/** The faces of the plane as far as they lie in a convex part, in widths of the repeat. */
function facesInPart(partition: Partition, part: readonly Point[]): readonly PartFace[] {
  const tall = root(rational(1), 3);
  const high = surdToNumber(tall);
  const inWidths = partition.faces.map(
    ({ corners, fill }): PartFace => ({
      corners: corners.map((corner) => {
        const { x, y } = cornerAt(partition, corner);
        return { x, y: multiplySurds(y, tall) };
      }),
      fill: mapFill(fill, {
        place: ({ x, y }) => ({ x, y: y * high }),
        way: ({ x, y }) => ({ x, y: y * high }),
      }),
    }),
  );
  return inWidths.flatMap((face) =>
    shiftsInto(face.corners, part, tall).flatMap(({ x, y, shift }) => {
      const moved = face.corners.map((corner) => addPoints(corner, shift));
      const fill = mapFill(face.fill, {
        place: (place: Place) => ({ x: place.x + x, y: place.y + y * high }),
        way: (way) => way,
      });
      return withinPart(moved, part).map((corners) => ({ corners, fill }));
    }),
  );
}

/** By how many whole repeats corners are moved to come near a part. */
function shiftsInto(corners: readonly Point[], part: readonly Point[], tall: Surd) {
  const range = (axis: 'x' | 'y', length: Surd) => {
    const own = corners.map((corner) => corner[axis]).toSorted(compareSurds);
    const wanted = part.map((corner) => corner[axis]).toSorted(compareSurds);
    const from = ceilSurd(divideSurds(subtract(wanted[0]!, own.at(-1)!), length));
    const to = floorSurd(divideSurds(subtract(wanted.at(-1)!, own[0]!), length));
    return Array.from({ length: Math.max(0, Number(to - from) + 1) }, (_, at) => Number(from) + at);
  };
  return range('x', ONE_SURD).flatMap((x) =>
    range('y', tall).map((y) => ({ x, y, shift: { x: surd(x), y: multiplySurds(surd(y), tall) } })),
  );
}

function subtract(a: Surd, b: Surd): Surd {
  return addSurds(a, negateSurd(b));
}

/** What of a polygon lies in a convex part. */
function withinPart(corners: readonly Point[], part: readonly Point[]): readonly (readonly Point[])[] {
  return part.reduce<readonly (readonly Point[])[]>(
    (left, from, at) => {
      const to = part[(at + 1) % part.length]!;
      const way = subtractPoints(to, from);
      // To the right of the way from corner to corner lies what is cut away.
      const normal = { x: way.y, y: negateSurd(way.x) };
      const line = { normal, at: addSurds(multiplySurds(from.x, normal.x), multiplySurds(from.y, normal.y)) };
      return left.flatMap((polygon) => splitPolygon(polygon, line).before);
    },
    [corners],
  );
}

/** For each direction that edges of parts have: a shortest step of the lattice along it, and one beside. */
const DIRECTIONS: readonly PlaneLattice[] = [
  [1, 0, 0, 1],
  [0, 1, -1, 0],
  [-1, 1, -1, 0],
  [1, 1, 0, 1],
  [-1, 2, -1, 1],
  [-2, 1, -1, 0],
].map(([a, b, c, d]) => [latticePoint(LATTICE, [a!, b!]), latticePoint(LATTICE, [c!, d!])]);

/** Polygons with a corner of each wherever one of another lies on a side of it along a direction. */
function sharedAlong(
  faces: readonly (readonly Point[])[],
  [along, beside]: PlaneLattice,
): readonly (readonly Point[])[] {
  const stepsOf = coordinatesIn(along, beside);
  const inSteps = faces.map((corners) =>
    corners.map((corner) => {
      const { u, v } = stepsOf(corner);
      return { x: u, y: v };
    }),
  );
  return withSharedCorners(inSteps).map((corners) =>
    corners.map(({ x, y }) => addPoints(scalePoint(along, x), scalePoint(beside, y))),
  );
}
