import { commonMultiple } from '../exact/common-multiple.ts';
import { longestFloat } from '../thread/longest-float.ts';
import { type Sequence, threadCount, threadsOf } from '../thread/sequence.ts';
import { smallestPeriod } from '../thread/smallest-period.ts';
import { interlace } from '../thread/weave.ts';
import type { Design } from './design-schema.ts';
import { weftOf } from './plaid/compile-plaid.ts';

/** How one direction's repeat comes about. */
export interface DirectionFacts {
  /** Threads of the sequence as laid out. */
  readonly laidOut: number;
  /** Threads after which its shades come round. */
  readonly period: number;
  /** Threads of the weave. */
  readonly weave: number;
  /** Threads of the repeat: the least common multiple of both. */
  readonly repeat: number;
}

/** What kind of cloth a design is, for the shelf: a stripe has one shade in one direction. */
export type Kind = 'stripe' | 'plaid';

export function kindOf({ construction }: Design): Kind {
  const plain = (sequence: Sequence) => new Set(sequence.bands.map((band) => band.shade)).size === 1;
  return plain(construction.warp) || plain(weftOf(construction)) ? 'stripe' : 'plaid';
}

/** Why the repeat is as long as it is, and the longest float. */
export function threadFacts(design: Design): { warp: DirectionFacts; weft: DirectionFacts; float: number } {
  const { construction, shades } = design;
  const keys = shades.map((shade) => shade.key);
  const interlacing = interlace(construction.weave);
  const direction = (sequence: Sequence, weave: number): DirectionFacts => {
    const period = smallestPeriod(threadsOf(sequence, keys));
    return { laidOut: threadCount(sequence), period, weave, repeat: commonMultiple(period, weave) };
  };
  const floats = longestFloat(interlacing);
  return {
    warp: direction(construction.warp, interlacing.ends),
    weft: direction(weftOf(construction), interlacing.picks),
    float: Math.max(floats.warp, floats.weft),
  };
}
