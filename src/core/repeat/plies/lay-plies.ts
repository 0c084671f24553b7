import { CoreError } from '../../error.ts';
import { divide, ONE, rational } from '../../exact/rational.ts';
import type { Vector } from '../../exact/vector.ts';
import {
  type Lattice,
  type Plies,
  type Ply,
  type RepeatUnit,
  repeatSize,
  type TrueSize,
} from '../repeat-unit.ts';
import { commonLattice } from './common-lattice.ts';
import { commonRepeat, type Times } from './common-repeat.ts';

/** Most plies over each other. */
export const MOST_PLIES = 12;

/**
 * Units over each other, the lowest first, in the smallest upright repeat that they have in common.
 *
 * @throws CoreError "plies/count" {count, most}; "plies/no-repeat" {ply} for one that has none by itself, counted from 1
 * upward; "plies/never" {ply, axis} for one that never comes together with the lowest; "plies/too-long" {ply, axis}
 */
export function layPlies(plies: readonly Omit<Ply, 'times'>[]): RepeatUnit<Plies> {
  const { length: count } = plies;
  if (count < 1 || count > MOST_PLIES) throw new CoreError('plies/count', { count, most: MOST_PLIES });
  const sizes = plies.map(({ unit }, at): TrueSize => {
    const size = repeatSize(unit);
    if (size === null) throw new CoreError('plies/no-repeat', { ply: at + 1 });
    return size;
  });
  const common = commonRepeat(sizes);
  if (common.kind !== 'common') {
    const { other, axis } = common;
    throw new CoreError(common.kind === 'none' ? 'plies/never' : 'plies/too-long', { ply: other + 1, axis });
  }
  const { size, times } = common;
  return {
    lattice: commonLattice(plies.map(({ unit }, at) => inCommon(unit, times[at]!))),
    repeat: { width: ONE, height: ONE },
    pitch: { x: size.width, y: size.height },
    grid: { step: 'mm' },
    content: { kind: 'plies', plies: plies.map((ply, at) => ({ ...ply, times: times[at]! })) },
  };
}

/** A unit's lattice in common repeats. */
function inCommon({ lattice, repeat }: RepeatUnit, { across, down }: Times): Lattice {
  const moved = ({ x, y }: Vector): Vector => ({
    x: divide(divide(x, repeat!.width), rational(across)),
    y: divide(divide(y, repeat!.height), rational(down)),
  });
  return [moved(lattice[0]), moved(lattice[1])];
}
