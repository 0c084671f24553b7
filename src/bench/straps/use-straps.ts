import type { Design } from '../../core/design/design-schema.ts';
import type { StrapReport } from '../../core/design/strap/strap-report.ts';
import { outcomeOf } from '../../wording/attempt.ts';
import { useWorked } from '../state/use-worked.ts';

/** How a design's straps lie over each other, found in a worker of its own; undefined until it is known, null where it has none. */
export function useStraps(design: Design): StrapReport | null | undefined {
  return outcomeOf(useWorked(design, async (api, strapped) => api.straps(strapped)));
}
