import { useEffect, useRef } from 'react';
import type { Design } from '../../core/design/design-schema.ts';
import type { RepeatReport } from '../../core/repeat/check-repeat.ts';
import { latest } from '../../kit/latest.ts';
import type { Attempt } from '../../wording/attempt.ts';
import { openClothWorker } from '../../workers/open-worker.ts';
import { dispatch, useDesign } from '../state/bench-store.ts';

/** Milliseconds after a change before the check runs, so that it does not hold up the painting. */
const PAUSE = 150;

/** The same before the first check as long as no cloth was painted, which may not be shown at all. */
const PAUSE_AT_FIRST = 1500;

/**
 * Checks the design whenever it changes, in a worker of its own.
 * @param isShown  whether a cloth was painted already, which comes before the first check
 */
export function useRepeatCheck(isShown: boolean): void {
  const design = useDesign();
  const ask = useRef<(design: Design) => void>(undefined);
  useEffect(() => {
    const worker = openClothWorker();
    ask.current = latest(
      async (next: Design): Promise<Attempt<RepeatReport>> => worker.ask(async (api) => api.check(next)),
      (answer, checked) => {
        if ('value' in answer) dispatch({ kind: 'report', design: checked, report: answer.value });
        else dispatch({ kind: 'unmade', design: checked, sentence: answer.problem });
      },
      (error, checked) => {
        console.error(error);
        dispatch({
          kind: 'unmade',
          design: checked,
          sentence: 'The check was not done after two minutes and was stopped. Make the design simpler.',
        });
      },
    );
    return worker.close;
  }, []);
  const asked = useRef<Design>(undefined);
  useEffect(() => {
    if (asked.current === design) return;
    const check = () => {
      asked.current = design;
      ask.current?.(design);
    };
    const isFirst = asked.current === undefined && !isShown;
    const timer = setTimeout(check, isFirst ? PAUSE_AT_FIRST : PAUSE);
    return () => clearTimeout(timer);
  }, [design, isShown]);
}
