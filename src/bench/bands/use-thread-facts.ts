import { useMemo } from 'react';
import type { ThreadFacts } from '../../core/design/construction.ts';
import { threadFacts } from '../../core/design/design-facts.ts';
import { valueIfAny } from '../../wording/attempt.ts';
import { useDesign } from '../state/bench-store.ts';

/** Why the repeat is as long as it is; undefined while the design cannot be woven, and where there are no threads. */
export function useThreadFacts(): ThreadFacts | undefined {
  const design = useDesign();
  return useMemo(() => valueIfAny(() => threadFacts(design)), [design]);
}
