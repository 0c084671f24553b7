import { useEffect, useRef, useState } from 'react';
import type { BuiltBox } from '../../core/design/construction.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { latest } from '../../kit/latest.ts';
import type { Attempt } from '../../wording/attempt.ts';
import { openClothWorker } from '../../workers/open-worker.ts';

/** What is drawn once: millimetres across, and what its numbers count. */
export interface ShownBox {
  readonly millimetres: number;
  readonly counted: BuiltBox['counted'];
}

/** The box of a design, found in a worker, also where it cannot be laid as it is; undefined until it is known. */
export function useBuiltBox(design: Design): ShownBox | undefined {
  const [box, setBox] = useState<ShownBox>();
  const ask = useRef<(design: Design) => void>(undefined);
  useEffect(() => {
    const worker = openClothWorker();
    ask.current = latest(
      (next: Design): Promise<Attempt<ShownBox | undefined>> => worker.ask(async (api) => api.built(next)),
      (answer) => setBox('value' in answer ? answer.value : undefined),
      (error) => console.error(error),
    );
    return worker.close;
  }, []);
  useEffect(() => ask.current?.(design), [design]);
  return box;
}
