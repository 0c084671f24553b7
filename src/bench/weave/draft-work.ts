import { toast } from 'sonner';
import { asKind } from '../../core/design/of-kind.ts';
import type { Interlacing } from '../../core/thread/weave.ts';
import { buildWeave } from '../../core/thread/weaves/build-weave.ts';
import { drawnWeave, weaveDraft } from '../../core/thread/weaves/weave-draft.ts';
import type { Draft, WeaveSpec } from '../../core/thread/weaves/weave-spec.ts';
import { followPointer } from '../../kit/follow-pointer.ts';
import { attempt, valueIfAny } from '../../wording/attempt.ts';
import { benchState, dispatch } from '../state/bench-store.ts';
import { type DraftCell, editDraft, isFilled } from './draft-geometry.ts';
import { setWeave } from './weave-edits.ts';

/** How far one press reaches in the drawdown. */
export type Reach = 'cell' | 'pick' | 'end';

/** A whole pick with Shift, a whole end with Alt. */
export function reachOf({ shiftKey, altKey }: { shiftKey: boolean; altKey: boolean }): Reach {
  return shiftKey ? 'pick' : altKey ? 'end' : 'cell';
}

/** Puts a structure that was worked by hand into the design; says so where it cannot be kept. */
export function putStructure(change: () => Interlacing, tag?: string): void {
  const made = attempt(() => drawnWeave(change()));
  if ('problem' in made) toast.error(made.problem);
  else put(made.value, tag);
}

export function putDraft({ threading, tieup, treadling }: Draft, tag?: string): void {
  put({ kind: 'draft', threading, tieup, treadling }, tag);
}

function put(weave: WeaveSpec, tag: string | undefined): void {
  dispatch({ kind: 'edit', edit: setWeave(weave), ...(tag === undefined ? {} : { tag }) });
}

/** Fills or clears one cell of any part. */
export function workCell(cell: DraftCell, on: boolean, tag: string, reach: Reach = 'cell'): void {
  const { construction } = asKind('plaid', benchState().history.present);
  if (cell.part === 'drawdown') {
    const structure = buildWeave(construction.weave);
    const up = structure.up.slice();
    for (const at of reached(structure, cell, reach)) up[at] = on ? 1 : 0;
    if (up.some((value, at) => value !== structure.up[at])) putStructure(() => ({ ...structure, up }), tag);
    return;
  }
  const draft = valueIfAny(() => weaveDraft(construction.weave));
  if (draft === undefined) return;
  const edited = editDraft(draft, cell, on);
  if (edited !== draft) putDraft(edited, tag);
}

function reached({ ends, picks }: Interlacing, { across, up }: DraftCell, reach: Reach): readonly number[] {
  switch (reach) {
    case 'cell':
      return [up * ends + across];
    case 'pick':
      return Array.from({ length: ends }, (_, end) => up * ends + end);
    case 'end':
      return Array.from({ length: picks }, (_, pick) => pick * ends + across);
    default:
      return reach satisfies never;
  }
}

/** A press on a part fills or clears, and what it is dragged over takes the same. */
export function startWork(
  event: React.PointerEvent<HTMLCanvasElement>,
  cellOf: (event: { clientX: number; clientY: number }) => DraftCell | undefined,
): void {
  const first = cellOf(event);
  if (event.button !== 0 || first === undefined) return;
  const { weave } = asKind('plaid', benchState().history.present).construction;
  let on = true;
  if (first.part === 'drawdown') {
    const { ends, up } = buildWeave(weave);
    on = up[first.up * ends + first.across] === 0;
  } else if (first.part === 'tieup' || first.part === 'lifts') {
    const draft = valueIfAny(() => weaveDraft(weave));
    if (draft !== undefined) on = !isFilled(draft, first);
  }
  const tag = `draft-${event.timeStamp}`;
  const reach = reachOf(event);
  workCell(first, on, tag, reach);
  followPointer(
    event,
    (moved) => {
      const cell = cellOf(moved);
      if (cell?.part === first.part) workCell(cell, on, tag, reach);
    },
    () => dispatch({ kind: 'settle' }),
  );
}
