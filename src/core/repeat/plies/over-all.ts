import { CoreError } from '../../error.ts';
import { ORIGIN } from '../../exact/plane.ts';
import { blockUnit, isBlock } from '../block-unit.ts';
import type { Plies, RepeatUnit } from '../repeat-unit.ts';
import { layPlies } from './lay-plies.ts';
import { shiftUnit } from './shift-unit.ts';

/**
 * Does to each ply, over all of the repeat that they have in common, what is done to the whole.
 * @param change  lays, turns or mirrors one unit @throws CoreError of its own
 * @throws CoreError "plies/too-many" {across, down} for a ply whose repeats are too many to be one; as `layPlies`
 */
export function overAll(
  { content }: RepeatUnit<Plies>,
  change: (unit: RepeatUnit) => RepeatUnit,
): RepeatUnit<Plies> {
  const changed = layPlies(
    content.plies.map((ply) => {
      const { unit, times, shift } = ply;
      if (!isBlock(unit, times)) throw new CoreError('plies/too-many', { ...times });
      return { ...ply, unit: change(shiftUnit(blockUnit(unit, times), shift)), shift: ORIGIN };
    }),
  );
  return content.seen === undefined
    ? changed
    : { ...changed, content: { ...changed.content, seen: content.seen } };
}
