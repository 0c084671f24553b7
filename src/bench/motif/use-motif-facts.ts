import { useEffect, useRef, useState } from 'react';
import type { MotifDesign } from '../../core/design/design-schema.ts';
import type { MotifFacts } from '../../core/design/motif/motif-facts.ts';
import { latest } from '../../kit/latest.ts';
import type { Attempt } from '../../wording/attempt.ts';
import { openClothWorker } from '../../workers/open-worker.ts';

/** What is measured of a motif, in a worker of its own; undefined until it is known, and where the motif is not right. */
export function useMotifFacts(design: MotifDesign): MotifFacts | undefined {
  const [facts, setFacts] = useState<MotifFacts>();
  const ask = useRef<(design: MotifDesign) => void>(undefined);
  useEffect(() => {
    const worker = openClothWorker();
    ask.current = latest(
      async (next: MotifDesign): Promise<Attempt<MotifFacts>> =>
        worker.ask(async (api) => api.motifFacts(next)),
      (answer) => setFacts('value' in answer ? answer.value : undefined),
      (error) => {
        console.error(error);
        setFacts(undefined);
      },
    );
    return worker.close;
  }, []);
  useEffect(() => ask.current?.(design), [design]);
  return facts;
}
