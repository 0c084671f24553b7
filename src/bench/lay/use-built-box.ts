import type { BuiltBox } from '../../core/design/construction.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { outcomeOf } from '../../wording/attempt.ts';
import { useWorked } from '../state/use-worked.ts';

/** What is drawn once: millimetres across, and what its numbers count. */
export interface ShownBox {
  readonly millimetres: number;
  readonly counted: BuiltBox['counted'];
}

/** The box of a design, found in a worker, also where it cannot be laid as it is; undefined until it is known. */
export function useBuiltBox(design: Design): ShownBox | undefined {
  return outcomeOf(useWorked(design, async (api, built) => api.built(built)));
}
