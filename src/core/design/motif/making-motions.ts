import { aboutPoint, PLANE_STILL, type PlaneMotion } from '../../exact/plane-motion.ts';
import { divide, multiply, type Rational, rational, toNumber } from '../../exact/rational.ts';
import { surd } from '../../exact/surd.ts';
import { type Motion, mirrorIn, STILL, shiftBy, turnAbout } from '../../shape/contour.ts';
import type { Making } from './making-schema.ts';
import { type MotifScale, parseDegrees, parseWay } from './motif-numbers.ts';

/** A motion, exact where it turns by steps of 15°. */
export interface PieceMotion {
  readonly motion: Motion;
  readonly exact: PlaneMotion | undefined;
}

export const PIECE_STILL: PieceMotion = { motion: STILL, exact: PLANE_STILL };

/** What carries a piece to its copies, the first where it stays; undefined for what makes no copies. @throws CoreError of its numbers */
export function motionsOf(making: Making, scale: MotifScale): readonly PieceMotion[] | undefined {
  const way = (text: string) => parseWay(text, scale);
  switch (making.kind) {
    case 'copies':
      return counted(making.count, (at) => shifted(times(way(making.x), at), times(way(making.y), at)));
    case 'grid': {
      const { across, up, x, y } = making;
      return counted(across * up, (at) =>
        shifted(times(way(x), at % across), times(way(y), Math.floor(at / across))),
      );
    }
    case 'moved':
      return [shifted(way(making.x), way(making.y))];
    case 'round': {
      const { count, by } = making;
      const angle = by === null ? divide(rational(360), rational(count)) : parseDegrees(by);
      return counted(count, (at) => turned(way(making.x), way(making.y), times(angle, at)));
    }
    case 'mirror':
      return [PIECE_STILL, mirrored(way(making.x), way(making.y), parseDegrees(making.angle))];
    default:
      return undefined;
  }
}

function counted(count: number, of: (at: number) => PieceMotion): readonly PieceMotion[] {
  return Array.from({ length: count }, (_, at) => of(at));
}

function times(value: Rational, count: number): Rational {
  return multiply(value, rational(count));
}

export function shifted(x: Rational, y: Rational): PieceMotion {
  return {
    motion: shiftBy(toNumber(x), toNumber(y)),
    exact: { ...PLANE_STILL, by: { x: surd(x), y: surd(y) } },
  };
}

export function turned(x: Rational, y: Rational, degrees: Rational): PieceMotion {
  const steps = stepsOf(degrees);
  return {
    motion: turnAbout({ x: toNumber(x), y: toNumber(y) }, toNumber(degrees)),
    exact: steps === undefined ? undefined : aboutPoint({ x: surd(x), y: surd(y) }, steps, false),
  };
}

/** Mirrored in a line that rises by degrees: in the level line, then turned by twice that. */
export function mirrored(x: Rational, y: Rational, degrees: Rational): PieceMotion {
  const steps = stepsOf(times(degrees, 2));
  return {
    motion: mirrorIn({ x: toNumber(x), y: toNumber(y) }, toNumber(degrees)),
    exact: steps === undefined ? undefined : aboutPoint({ x: surd(x), y: surd(y) }, steps, true),
  };
}

/** Degrees in steps of 15°, where they are whole. */
function stepsOf(degrees: Rational): number | undefined {
  const steps = divide(degrees, rational(15));
  return steps.d === 1n ? Number(steps.n) : undefined;
}
