import { commonMultiple } from '../exact/common-multiple.ts';
import { smallestPeriod } from '../thread/smallest-period.ts';

import { floatCounts } from '../thread/weaves/float-counts.ts';
import { leastWeave } from '../thread/weaves/least-repeat.ts';
import type { Kind } from './construction.ts';
import { kindFor } from './constructions.ts';
import type { Design, PlaidDesign } from './design-schema.ts';
import { threadsOfPlaid } from './plaid/compile-plaid.ts';

/** How one direction's repeat comes about. */
export interface DirectionFacts {
  /** Threads of the sequence as laid out. */
  readonly laidOut: number;
  /** Threads after which its shades come round. */
  readonly period: number;
  /** Threads of the weave; 1 when it is printed. */
  readonly weave: number;
  /** Threads of the repeat: the least common multiple of both. */
  readonly repeat: number;
}

/** What kind of cloth a design is, for the shelf: a stripe has one shade in one direction, a weave in both. */
export function kindOf({ construction }: Design): Kind {
  return kindFor(construction).kindOf(construction);
}

/** Why the repeat is as long as it is, and the longest float; a print has none. */
export function threadFacts(design: PlaidDesign): {
  warp: DirectionFacts;
  weft: DirectionFacts;
  float: number | undefined;
} {
  const { construction, shades } = design;
  const threads = threadsOfPlaid(construction, shades);
  const woven = construction.crossing === 'woven' ? leastWeave(construction.weave) : undefined;
  const direction = (sequence: Uint16Array, weave: number): DirectionFacts => {
    const period = smallestPeriod(sequence);
    return { laidOut: sequence.length, period, weave, repeat: commonMultiple(period, weave) };
  };
  const floats = woven && floatCounts(woven);
  return {
    warp: direction(threads.warp, woven?.ends ?? 1),
    weft: direction(threads.weft, woven?.picks ?? 1),
    float: floats && Math.max(floats.warp.longest, floats.weft.longest),
  };
}
