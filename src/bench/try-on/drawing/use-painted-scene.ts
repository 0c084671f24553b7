import { useEffect, useRef, useState } from 'react';
import type { Design } from '../../../core/design/design-schema.ts';
import type { TryOn } from '../../../core/design/try-on/try-on-schema.ts';
import type { SeenWindow } from '../../../core/paint/seen/seen-window.ts';
import { latest } from '../../../kit/latest.ts';
import type { Attempt } from '../../../wording/attempt.ts';
import { openClothWorker } from '../../../workers/open-worker.ts';
import type { PaintedScene } from '../../../workers/try-on-work.ts';

/** A scene that is wished for in a window. */
export interface SceneWish {
  readonly design: Design;
  readonly tryOn: TryOn;
  readonly window: SeenWindow;
}

/** A scene as it was painted, and where of the drawing. */
export interface ShownScene extends PaintedScene {
  readonly window: SeenWindow;
  /** Whether all of its pixels were painted. */
  readonly isFine: boolean;
}

/** Milliseconds of painting from which the next is shown coarsely first, and how coarsely. */
const SLOW = 90;
const COARSE = 3;

/** The cloth of a scene, painted in a worker of its own; the newest wish wins. */
export function usePaintedScene(wish: SceneWish | undefined): Attempt<ShownScene> | undefined {
  const [shown, setShown] = useState<Attempt<ShownScene>>();
  const ask = useRef<(wish: SceneWish) => void>(undefined);
  const newest = useRef<SceneWish>(undefined);
  useEffect(() => {
    const worker = openClothWorker();
    let lasted = 0;
    const show = (answer: Attempt<ShownScene>) => {
      setShown((old) => {
        if (old !== undefined && 'value' in old) old.value.image.close();
        return answer;
      });
    };
    const paintBy = async (next: SceneWish, coarse: number): Promise<Attempt<ShownScene>> => {
      const answer = await worker.ask(async (api) => api.tryOn({ ...next, coarse }));
      return 'problem' in answer
        ? answer
        : { value: { ...answer.value, window: next.window, isFine: coarse === 1 } };
    };
    ask.current = latest(
      async (next: SceneWish) => {
        if (lasted > SLOW) {
          const coarse = await paintBy(next, COARSE);
          // While the hand goes on, what it left behind is not painted finely.
          if (newest.current !== next) return coarse;
          show(coarse);
        }
        const began = performance.now();
        const fine = await paintBy(next, 1);
        lasted = performance.now() - began;
        return fine;
      },
      show,
      (error) => {
        console.error(error);
        show({ problem: 'The scene could not be painted. Undo the last change, or reload.' });
      },
    );
    return worker.close;
  }, []);
  useEffect(() => {
    if (wish === undefined) return;
    newest.current = wish;
    ask.current?.(wish);
  }, [wish]);
  return shown;
}
