import { useRef } from 'react';
import type { Design } from '../../../core/design/design-schema.ts';
import {
  type DrawnTryOn,
  drawTryOn,
  inkOf,
  type SpecifiedPart,
} from '../../../core/design/try-on/compile-try-on.ts';
import type { TryOn } from '../../../core/design/try-on/try-on-schema.ts';
import { partOf } from '../../../core/design/try-on/usual-try-on.ts';
import type { WholeDrawing } from '../../../core/scene/whole-drawing.ts';
import { type Attempt, attempt } from '../../../wording/attempt.ts';
import { tryOnOf } from '../try-on-edits.ts';
import { useTryOn } from '../try-on-store.ts';

interface Drawn {
  readonly tried: DrawnTryOn;
  readonly whole: WholeDrawing;
}

/** A scene's lines as they are drawn in the view. */
export interface DrawnScene extends Drawn {
  /** Why the numbers as they are now make no drawing; what is shown is the last that they made. */
  readonly problem: string | undefined;
}

/** The view, the panel and the line beneath all show one drawing: it is made once. */
const made = new WeakMap<TryOn, { readonly resolution: string; readonly drawn: Attempt<Drawn> }>();

function drawnOnce({ resolution }: Design, tryOn: TryOn): Attempt<Drawn> {
  const known = made.get(tryOn);
  if (known?.resolution === resolution) return known.drawn;
  const drawn = attempt(() => {
    const tried = drawTryOn({ resolution }, tryOn);
    return { tried, whole: inkOf(tried) };
  });
  made.set(tryOn, { resolution, drawn });
  return drawn;
}

/** Draws what a design is tried on; undefined where it never could be. */
export function useDrawnScene(design: Design): DrawnScene | undefined {
  const last = useRef<Drawn>(undefined);
  const drawn = drawnOnce(design, tryOnOf(design));
  if ('value' in drawn) last.current = drawn.value;
  return last.current && { ...last.current, problem: 'problem' in drawn ? drawn.problem : undefined };
}

/** The part that is worked on, with its numbers as they are now, whether or not they can be drawn. */
export function useChosenPart(design: Design, drawn: DrawnScene | undefined): SpecifiedPart | undefined {
  const chosen = useTryOn((look) => look.part);
  const parts = drawn?.tried.parts ?? [];
  const part = parts.find((each) => each.drawn.part.key === chosen) ?? parts[0];
  return part && { ...part, spec: partOf(tryOnOf(design), part.drawn.part.key) };
}
