import { useEffect, useRef, useState } from 'react';
import type { Design } from '../../core/design/design-schema.ts';
import { latest } from '../../kit/latest.ts';
import type { Attempt } from '../../wording/attempt.ts';
import type { ShownTurn } from '../../workers/cloth-worker.ts';
import { openClothWorker } from '../../workers/open-worker.ts';

interface Turns {
  /** The angle that they were worked out for. */
  readonly degrees: number | undefined;
  readonly turns: readonly ShownTurn[] | undefined;
  readonly problem: string | undefined;
}

/** Turns near an angle after which a design repeats upright, worked out in a worker; the newest angle wins. */
export function useTurns(design: Design, degrees: number): Turns {
  const [answer, setAnswer] = useState<Attempt<readonly ShownTurn[]> & { readonly degrees: number }>();
  const request = useRef<(ask: { readonly design: Design; readonly degrees: number }) => void>(undefined);
  useEffect(() => {
    const worker = openClothWorker();
    request.current = latest(
      (ask) => worker.ask(async (api) => api.turns(ask.design, ask.degrees)),
      (found, ask) => setAnswer({ ...found, degrees: ask.degrees }),
      (error) => console.error(error),
    );
    return worker.close;
  }, []);
  const { slope: _, ...level } = design.lay;
  const key = JSON.stringify([design.construction, level, design.resolution, degrees]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the key holds all of the design that counts
  useEffect(() => request.current?.({ design, degrees }), [key]);
  return {
    degrees: answer?.degrees,
    turns: answer !== undefined && 'value' in answer ? answer.value : undefined,
    problem: answer !== undefined && 'problem' in answer ? answer.problem : undefined,
  };
}
