import { CoreError } from '../../error.ts';
import { type PlaneLattice, pointsIn } from '../../exact/lattice.ts';
import { addPoints, ORIGIN } from '../../exact/plane.ts';
import { divide, rational } from '../../exact/rational.ts';
import {
  addSurds,
  divideSurds,
  multiplySurds,
  rationalOf,
  subtractSurds,
  surd,
  surdToNumber,
  ZERO_SURD,
} from '../../exact/surd.ts';
import type { Vector } from '../../exact/vector.ts';
import { cornerAt } from '../../faces/check-partition.ts';
import type { Partition } from '../../faces/partition.ts';
import { foldTiling } from '../../faces/torus.ts';
import { movePlace, moveWay } from '../../shape/contour.ts';
import { overAll } from '../plies/over-all.ts';
import { type Content, gridOfFaces, type Plies, type RepeatUnit, repeatSize } from '../repeat-unit.ts';
import { cellsAsFaces } from './cells-as-faces.ts';
import { type RepeatSlope, turnedLattice, turnOf } from './exact-turn.ts';
import { MAX_LAID_FACES, mapFill } from './lay-faces.ts';
import { turnMarks } from './turn-marks.ts';
import { motionsOf, type TurnRoom } from './turn-room.ts';

/**
 * A pattern turned, as large as it then repeats. Threads become faces.
 * @throws CoreError as `turnOf`; "lay/no-repeat", "lay/faces" {most}, "lay/turned-fade" for a fade over all of a repeat;
 * as `overAll` for plies
 */
export function turnUnit(unit: RepeatUnit, slope: RepeatSlope): RepeatUnit {
  if (slope.up === 0) return unit;
  const size = repeatSize(unit);
  if (size === null) throw new CoreError('lay/no-repeat', {});
  const { content } = unit;
  if (content.kind === 'plies') return overAll({ ...unit, content }, (each) => turnUnit(each, slope));
  const turn = turnOf(size, slope);
  const lattice = turnedLattice(size, turn.cosine, turn.sine);
  const { width, height } = turn.size;
  const whole: PlaneLattice = [
    { x: width, y: ZERO_SURD },
    { x: ZERO_SURD, y: height },
  ];
  const steps = pointsIn(lattice, whole, MAX_LAID_FACES);
  if (steps === undefined) throw new CoreError('lay/faces', { most: MAX_LAID_FACES });
  const room: TurnRoom = {
    turn,
    lattice,
    steps,
    pitch: { x: surdToNumber(size.width), y: surdToNumber(size.height) },
    repeat: { x: surdToNumber(width), y: surdToNumber(height) },
    map: ({ x, y }, shift) => {
      const wide = multiplySurds(x, size.width);
      const high = multiplySurds(y, size.height);
      const point = {
        x: subtractSurds(multiplySurds(wide, turn.cosine), multiplySurds(high, turn.sine)),
        y: addSurds(multiplySurds(wide, turn.sine), multiplySurds(high, turn.cosine)),
      };
      const { x: dx, y: dy } = addPoints(point, shift);
      return { x: divideSurds(dx, width), y: divideSurds(dy, height) };
    },
  };
  const one = rational(1);
  // Of the turned lattice's vectors each is a part of the new repeat that is a fraction, since some multiples are whole.
  const turned = ({ x, y }: Vector): Vector => {
    const { repeat } = unit;
    const inRepeats = { x: surd(divide(x, repeat!.width)), y: surd(divide(y, repeat!.height)) };
    const point = room.map(inRepeats, ORIGIN);
    return { x: rationalOf(point.x)!, y: rationalOf(point.y)! };
  };
  return {
    lattice: [turned(unit.lattice[0]), turned(unit.lattice[1])],
    repeat: { width: one, height: one },
    pitch: { x: width, y: height },
    grid: gridOfFaces(unit),
    content: turnedContent(content, room),
  };
}

function turnedContent(content: Exclude<Content, Plies>, room: TurnRoom): Content {
  switch (content.kind) {
    case 'cells':
      return turnedPartition(cellsAsFaces(content), room);
    case 'partition':
      return turnedPartition(content, room);
    case 'marks':
      return turnMarks(content, turnedPartition(content.base, room), room);
    default:
      return content satisfies never;
  }
}

function turnedPartition(partition: Partition, room: TurnRoom): Partition {
  const { steps, pitch, repeat } = room;
  if (partition.faces.length * steps.length > MAX_LAID_FACES) {
    throw new CoreError('lay/faces', { most: MAX_LAID_FACES });
  }
  // Faces are turned once and moved after: their corners are sums of roots.
  const turned = partition.faces.map(({ corners, fill }) => ({
    corners: corners.map((corner) => room.map(cornerAt(partition, corner), ORIGIN)),
    fill,
  }));
  const laid = motionsOf(room).flatMap(({ shift, motion }) => {
    const inNew = room.map(ORIGIN, shift);
    return turned.map(({ corners, fill }) => ({
      corners: corners.map((corner) => addPoints(corner, inNew)),
      fill: mapFill(fill, {
        place: ({ x, y }) => {
          const moved = movePlace({ x: x * pitch.x, y: y * pitch.y }, motion);
          return { x: moved.x / repeat.x, y: moved.y / repeat.y };
        },
        way: ({ x, y }) => {
          const moved = moveWay({ x: x * pitch.x, y: y * pitch.y }, motion);
          return { x: moved.x / repeat.x, y: moved.y / repeat.y };
        },
      }),
    }));
  });
  const one = surd(1);
  const torus = foldTiling({
    lattice: [
      { x: one, y: ZERO_SURD },
      { x: ZERO_SURD, y: one },
    ],
    faces: laid.map(({ corners }) => corners),
  });
  return {
    ...partition,
    vertices: torus.vertices,
    faces: torus.faces.map(({ corners }, at) => ({ corners, fill: laid[at]!.fill })),
  };
}
