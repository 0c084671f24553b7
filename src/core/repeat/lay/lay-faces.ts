import { CoreError } from '../../error.ts';
import type { Point } from '../../exact/plane.ts';
import { divide, equals, type Rational, rational, toNumber } from '../../exact/rational.ts';
import {
  addSurds,
  ceilSurd,
  compareSurds,
  floorSurd,
  scaleSurd,
  subtractSurds,
  surd,
  ZERO_SURD,
} from '../../exact/surd.ts';
import { cornerAt } from '../../faces/check-partition.ts';
import type { Partition } from '../../faces/partition.ts';
import { withSharedCorners } from '../../faces/shared-corners.ts';
import { type Line, splitPolygon } from '../../faces/split-polygon.ts';
import { foldTiling } from '../../faces/torus.ts';
import type { Fill } from '../../shape/fill.ts';
import type { Place } from '../../shape/places.ts';
import type { BoxLay } from './arranged.ts';
import { type BoxPlaces, placesOf, type StandingBox } from './box-places.ts';
import type { BoxStand } from './group-blocks.ts';
import { isMirroring, standPlace, standPoint, standWay } from './stands.ts';

/** Most faces of a laid repeat. */
export const MAX_LAID_FACES = 100_000;

/** A polygon of the box, in boxes from its lower left. */
interface BoxFace {
  readonly corners: readonly Point[];
  readonly fill: Fill;
}

/**
 * Faces of one repeat, laid: cut exactly where their neighbours do not go on, and carried with what they are filled with.
 * @throws CoreError "lay/faces" {most}
 */
export function layPartition(partition: Partition, lay: BoxLay): Partition {
  const room = placesOf(lay);
  const faces = facesOfBox(partition, lay, room.half);
  if (faces.length * room.places.length > MAX_LAID_FACES) {
    throw new CoreError('lay/faces', { most: MAX_LAID_FACES });
  }
  const laid = room.places.flatMap((place) => faces.map((face) => laidFace(face, place, room)));
  const torus = foldTiling({
    lattice: UNIT,
    faces: withSharedCorners(laid.map(({ corners }) => corners)),
  });
  return {
    ...partition,
    vertices: torus.vertices,
    faces: torus.faces.map(({ corners }, at) => ({ corners, fill: laid[at]!.fill })),
  };
}

const ONE = surd(1);
const UNIT = [
  { x: ONE, y: ZERO_SURD },
  { x: ZERO_SURD, y: ONE },
] as const;

/** A box's faces, cut at those of its edges beyond which the plane does not go on as drawn. */
function facesOfBox(partition: Partition, lay: BoxLay, half: BoxPlaces['half']): readonly BoxFace[] {
  const whole = partition.faces.map(({ corners, fill }) => ({
    corners: corners.map((corner) => cornerAt(partition, corner)),
    fill,
  }));
  const columns = goesOn(lay, 'x') ? whole : whole.flatMap((face) => cutAlong(face, 'x'));
  const boxed = goesOn(lay, 'y') ? columns : columns.flatMap((face) => cutAlong(face, 'y'));
  return half === undefined ? boxed : boxed.flatMap((face) => mirroredHalf(face, half));
}

/** Whether the next box that way is the same, unmoved. */
function goesOn({ ways, copies }: BoxLay, axis: 'x' | 'y'): boolean {
  const other = axis === 'x' ? 'y' : 'x';
  return (
    copies.length === 1 &&
    ways.some((way) => equals(way[axis], rational(1)) && equals(way[other], rational(0)))
  );
}

/** A face in parts, each moved by whole boxes into the first column or row. */
function cutAlong(face: BoxFace, axis: 'x' | 'y'): readonly BoxFace[] {
  const places = face.corners.map((corner) => corner[axis]);
  const [lowest] = places.toSorted(compareSurds);
  const highest = places.toSorted(compareSurds).at(-1)!;
  const first = floorSurd(lowest!);
  const last = ceilSurd(highest);
  const parts: BoxFace[] = [];
  let rest: readonly (readonly Point[])[] = [face.corners];
  for (let at = first; at < last; at += 1n) {
    const line: Line = { normal: axis === 'x' ? UNIT[0] : UNIT[1], at: surd(rational(at + 1n)) };
    const cut = rest.map((corners) => splitPolygon(corners, line));
    for (const corners of cut.flatMap(({ before }) => before))
      parts.push(moved({ ...face, corners }, axis, at));
    rest = cut.flatMap(({ beyond }) => beyond);
  }
  return parts;
}

/** Moved back by whole boxes. */
function moved({ corners, fill }: BoxFace, axis: 'x' | 'y', by: bigint): BoxFace {
  if (by === 0n) return { corners, fill };
  const back = surd(rational(by));
  const shift = (place: Place): Place => ({ ...place, [axis]: place[axis] - Number(by) });
  return {
    corners: corners.map((corner) => ({ ...corner, [axis]: subtractSurds(corner[axis], back) })),
    fill: mapFill(fill, { place: shift, way: (way) => way }),
  };
}

/** The part of a face below a diagonal, and its image in it. */
function mirroredHalf(face: BoxFace, mirror: 'diagonal' | 'other'): readonly BoxFace[] {
  const minus = surd(-1);
  const line: Line =
    mirror === 'diagonal'
      ? { normal: { x: minus, y: ONE }, at: ZERO_SURD }
      : { normal: { x: ONE, y: ONE }, at: ONE };
  return splitPolygon(face.corners, line).before.flatMap((corners) => {
    const drawn = { ...face, corners };
    return [drawn, stood(drawn, mirror)];
  });
}

/** A face as a stand carries it in its box. */
function stood({ corners, fill }: BoxFace, stand: BoxStand): BoxFace {
  if (stand === 'same') return { corners, fill };
  const carried = corners.map((corner) => standPoint(corner, stand));
  return {
    corners: isMirroring(stand) ? carried.reverse() : carried,
    fill: mapFill(fill, { place: (place) => standPlace(place, stand), way: (way) => standWay(way, stand) }),
  };
}

/** A face in one of the boxes of the laid repeat, in laid repeats. */
function laidFace(face: BoxFace, { x, y, stand }: StandingBox, { across, up }: BoxPlaces): BoxFace {
  const { corners, fill } = stood(face, stand);
  const wide = divide(rational(1), across);
  const high = divide(rational(1), up);
  const near = { x: toNumber(x), y: toNumber(y), wide: toNumber(wide), high: toNumber(high) };
  const into = (value: Point['x'], shift: Rational, by: Rational) =>
    scaleSurd(addSurds(value, surd(shift)), by);
  return {
    corners: corners.map((corner) => ({ x: into(corner.x, x, wide), y: into(corner.y, y, high) })),
    fill: mapFill(fill, {
      place: (place) => ({ x: (place.x + near.x) * near.wide, y: (place.y + near.y) * near.high }),
      way: (way) => ({ x: way.x * near.wide, y: way.y * near.high }),
    }),
  };
}

/** How places and ways are carried. */
export interface FillMap {
  readonly place: (place: Place) => Place;
  readonly way: (way: Place) => Place;
}

/** What a face is filled with, carried with it. */
export function mapFill(fill: Fill, { place, way }: FillMap): Fill {
  if (fill.kind === 'fade') return { ...fill, from: place(fill.from), to: place(fill.to) };
  if (fill.kind !== 'picture') return fill;
  const { corner, across, down, ends } = fill.place;
  return { ...fill, place: { corner: place(corner), across: way(across), down: way(down), ends } };
}
