import { useMemo, useRef } from 'react';
import type { Design } from '../../../core/design/design-schema.ts';
import { type DrawnTryOn, drawTryOn } from '../../../core/design/try-on/compile-try-on.ts';
import { type WholeDrawing, wholeDrawing } from '../../../core/scene/whole-drawing.ts';
import { attempt } from '../../../wording/attempt.ts';
import { tryOnOf } from '../try-on-edits.ts';

/** A scene's lines as they are drawn in the view. */
export interface DrawnScene {
  readonly tried: DrawnTryOn;
  readonly whole: WholeDrawing;
  /** Why the numbers as they are now make no drawing; what is shown is the last that they made. */
  readonly problem: string | undefined;
}

/** Draws what a design is tried on; undefined where it never could be. */
export function useDrawnScene(design: Design): DrawnScene | undefined {
  const tryOn = tryOnOf(design);
  const last = useRef<Omit<DrawnScene, 'problem'>>(undefined);
  const { resolution } = design;
  return useMemo(() => {
    const drawn = attempt(() => {
      const tried = drawTryOn({ resolution }, tryOn);
      const whole = wholeDrawing(
        tried.drawing,
        tried.parts.map((part) => part.drawn),
        tried.person,
      );
      return { tried, whole };
    });
    if ('value' in drawn) {
      last.current = drawn.value;
      return { ...drawn.value, problem: undefined };
    }
    return last.current && { ...last.current, problem: drawn.problem };
  }, [resolution, tryOn]);
}
