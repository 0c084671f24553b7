import { useEffect, useRef, useState } from 'react';
import type { Design } from '../../core/design/design-schema.ts';
import type { StrapReport } from '../../core/design/strap/strap-report.ts';
import { latest } from '../../kit/latest.ts';
import type { Attempt } from '../../wording/attempt.ts';
import { openClothWorker } from '../../workers/open-worker.ts';

/** How a design's straps lie over each other, found in a worker of its own; undefined until it is known, null where it has none. */
export function useStraps(design: Design): StrapReport | null | undefined {
  const [report, setReport] = useState<StrapReport | null>();
  const ask = useRef<(design: Design) => void>(undefined);
  useEffect(() => {
    const worker = openClothWorker();
    ask.current = latest(
      async (next: Design): Promise<Attempt<StrapReport | null>> =>
        worker.ask(async (api) => api.straps(next)),
      (answer) => setReport('value' in answer ? answer.value : undefined),
      (error) => {
        console.error(error);
        setReport(undefined);
      },
    );
    return worker.close;
  }, []);
  useEffect(() => ask.current?.(design), [design]);
  return report;
}
