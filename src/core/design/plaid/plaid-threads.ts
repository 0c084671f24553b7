import { CoreError } from '../../error.ts';
import { commonMultiple } from '../../exact/common-multiple.ts';
import { smallestPeriod } from '../../thread/smallest-period.ts';
import type { Interlacing } from '../../thread/weave.ts';
import { floatCounts } from '../../thread/weaves/float-counts.ts';
import { leastWeave } from '../../thread/weaves/least-repeat.ts';
import type { DirectionFacts, ThreadFacts } from '../construction.ts';
import type { PlaidDesign } from '../design-schema.ts';
import { threadsOfPlaid } from './compile-plaid.ts';
import { isLaidStraight, laidStructure } from './laid-plaid.ts';

/** Floats as the cloth is laid; undefined where there is too much of it to be looked at. */
function floatsOf(design: PlaidDesign, woven: Interlacing) {
  if (isLaidStraight(design)) return floatCounts(woven);
  try {
    return floatCounts(laidStructure(design));
  } catch (error) {
    if (error instanceof CoreError) return undefined;
    throw error;
  }
}

/** Why a plaid's repeat is as long as it is before it is laid, and the longest float after; a print has none. */
export function plaidThreads(design: PlaidDesign): ThreadFacts {
  const { construction, shades } = design;
  const threads = threadsOfPlaid(construction, shades);
  const woven = construction.crossing === 'woven' ? leastWeave(construction.weave) : undefined;
  const direction = (sequence: Uint16Array, weave: number): DirectionFacts => {
    const period = smallestPeriod(sequence);
    return { laidOut: sequence.length, period, weave, repeat: commonMultiple(period, weave) };
  };
  const floats = woven && floatsOf(design, woven);
  return {
    warp: direction(threads.warp, woven?.ends ?? 1),
    weft: direction(threads.weft, woven?.picks ?? 1),
    float: floats && Math.max(floats.warp.longest, floats.weft.longest),
  };
}
