import { useMemo } from 'react';
import { threadFacts } from '../core/design/design-facts.ts';
import { CoreError } from '../core/error.ts';
import { useDesign } from './bench-store.ts';

/** Why the repeat is as long as it is; undefined while the design cannot be woven. */
export function useThreadFacts(): ReturnType<typeof threadFacts> | undefined {
  const design = useDesign();
  return useMemo(() => {
    try {
      return threadFacts(design);
    } catch (error) {
      if (error instanceof CoreError) return undefined;
      throw error;
    }
  }, [design]);
}
