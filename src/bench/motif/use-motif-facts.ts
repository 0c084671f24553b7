import type { MotifDesign } from '../../core/design/design-schema.ts';
import type { MotifFacts } from '../../core/design/motif/motif-facts.ts';
import { outcomeOf } from '../../wording/attempt.ts';
import { useWorked } from '../state/use-worked.ts';

/** What is measured of a motif, in a worker of its own; undefined until it is known, and where the motif is not right. */
export function useMotifFacts(design: MotifDesign): MotifFacts | undefined {
  return outcomeOf(useWorked(design, async (api, motif) => api.motifFacts(motif)));
}
