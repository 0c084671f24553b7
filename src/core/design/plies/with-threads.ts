import { CoreError } from '../../error.ts';
import { scaleTo } from '../../thread/rework.ts';
import { threadCount } from '../../thread/sequence.ts';
import { kindFor } from '../constructions.ts';
import type { Design } from '../design-schema.ts';

/** A design whose warp has so many threads, its bands in proportion; undefined where it has none, or they cannot be. */
export function withThreads(design: Design, threads: number): Design | undefined {
  const { construction } = design;
  const { banded } = kindFor(construction);
  if (banded === undefined || banded.measured !== undefined) return undefined;
  const sequence = banded.sequenceOf(construction, 'warp', design);
  try {
    const scaled = { ...sequence, bands: scaleTo(sequence, threads) };
    if (threadCount(scaled) !== threads) return undefined;
    return { ...design, construction: banded.withSequence(construction, 'warp', scaled, design) };
  } catch (error) {
    if (error instanceof CoreError) return undefined;
    throw error;
  }
}
