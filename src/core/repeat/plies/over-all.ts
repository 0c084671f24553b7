import { ORIGIN } from '../../exact/plane.ts';
import { blockUnit } from '../block-unit.ts';
import type { Plies, RepeatUnit } from '../repeat-unit.ts';
import { checkBlock } from './check-block.ts';
import { layPlies } from './lay-plies.ts';
import { shiftUnit } from './shift-unit.ts';

/**
 * Does to each ply, over all of the repeat that they have in common, what is done to the whole.
 * @param change  lays, turns or mirrors one unit @throws CoreError of its own
 * @throws CoreError as `checkBlock`, `layPlies`
 */
export function overAll(
  { content }: RepeatUnit<Plies>,
  change: (unit: RepeatUnit) => RepeatUnit,
): RepeatUnit<Plies> {
  const changed = layPlies(
    content.plies.map((ply) => {
      const { unit, times, shift } = ply;
      checkBlock(ply);
      return { ...ply, unit: change(shiftUnit(blockUnit(unit, times), shift)), shift: ORIGIN };
    }),
  );
  return content.seen === undefined
    ? changed
    : { ...changed, content: { ...changed.content, seen: content.seen } };
}
