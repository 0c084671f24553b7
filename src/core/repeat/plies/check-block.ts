import { CoreError } from '../../error.ts';
import { surdToNumber } from '../../exact/surd.ts';
import { isBlock } from '../block-unit.ts';
import { type Ply, repeatSize } from '../repeat-unit.ts';

/**
 * Asks that a ply's repeats in the common one are few enough to be taken as one.
 * @throws CoreError "plies/too-many" {across, down, width, height}, the common repeat in whole millimetres
 */
export function checkBlock({ unit, times }: Pick<Ply, 'unit' | 'times'>): void {
  if (isBlock(unit, times)) return;
  const size = repeatSize(unit)!;
  throw new CoreError('plies/too-many', {
    ...times,
    width: Math.round(surdToNumber(size.width) * times.across),
    height: Math.round(surdToNumber(size.height) * times.down),
  });
}
