import { useMemo } from 'react';
import { threadFacts } from '../../core/design/design-facts.ts';
import { isPlaid } from '../../core/design/design-schema.ts';
import { CoreError } from '../../core/error.ts';
import { useDesign } from '../state/bench-store.ts';

/** Why the repeat is as long as it is; undefined while the design cannot be woven, and where there are no threads. */
export function useThreadFacts(): ReturnType<typeof threadFacts> | undefined {
  const design = useDesign();
  return useMemo(() => {
    try {
      return isPlaid(design) ? threadFacts(design) : undefined;
    } catch (error) {
      if (error instanceof CoreError) return undefined;
      throw error;
    }
  }, [design]);
}
