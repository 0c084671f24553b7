import { draftFromLifts, draftSize } from '../../core/thread/weaves/draft.ts';
import { type Draft, MAX_SHAFTS, MAX_TREADLES } from '../../core/thread/weaves/weave-spec.ts';

/** The parts of a draft: threading above, tie-up beside it; to the right of the drawdown the treadling, or the lift plan. */
export type DraftPart = 'threading' | 'tieup' | 'treadling' | 'lifts' | 'drawdown';

/** Where the parts lie, in cells; y downward. */
export interface DraftLayout {
  readonly ends: number;
  readonly picks: number;
  /** Rows of the threading: one more than there are shafts, so that another can be taken; 0 where there is no draft. */
  readonly shafts: number;
  /** What stands beside the drawdown, and how many columns of it: again one more. */
  readonly beside: 'treadling' | 'lifts';
  readonly columns: number;
}

/** Cells between the parts. */
export const GAP = 1;

/** @param byLifts  whether the lift plan is shown in the place of tie-up and treadling */
export function layoutOf(draft: Draft, byLifts: boolean): DraftLayout {
  const size = draftSize(draft);
  const shafts = Math.min(MAX_SHAFTS, size.shafts + 1);
  return {
    ends: draft.threading.length,
    picks: draft.treadling.length,
    shafts,
    beside: byLifts ? 'lifts' : 'treadling',
    columns: byLifts ? shafts : Math.min(MAX_TREADLES, size.treadles + 1),
  };
}

/** A cell that was pointed at; `across` and `up` count from the lower left of its part, from 0. */
export interface DraftCell {
  readonly part: DraftPart;
  readonly across: number;
  readonly up: number;
}

/** The cell at a place in cells from the upper left, or undefined between the parts. */
export function cellAtPlace(
  { ends, picks, shafts, beside, columns }: DraftLayout,
  x: number,
  y: number,
): DraftCell | undefined {
  const column = Math.floor(x);
  const row = Math.floor(y);
  const right = column - ends - GAP;
  const below = row - shafts - GAP;
  const left = column >= 0 && column < ends;
  const isBeside = right >= 0 && right < columns;
  if (row >= 0 && row < shafts) {
    const up = shafts - 1 - row;
    if (left) return { part: 'threading', across: column, up };
    return isBeside && beside === 'treadling' ? { part: 'tieup', across: right, up } : undefined;
  }
  if (below < 0 || below >= picks) return undefined;
  const up = picks - 1 - below;
  if (left) return { part: 'drawdown', across: column, up };
  return isBeside ? { part: beside, across: right, up } : undefined;
}

/** Whether a cell is filled. */
export function isFilled(draft: Draft, { part, across, up }: DraftCell): boolean {
  switch (part) {
    case 'threading':
      return draft.threading[across] === up + 1;
    case 'treadling':
      return draft.treadling[up] === across + 1;
    case 'tieup':
      return draft.tieup[across]?.includes(up + 1) ?? false;
    case 'lifts':
      return liftAt(draft, up).includes(across + 1);
    case 'drawdown':
      return liftAt(draft, up).includes(draft.threading[across]!);
    default:
      return part satisfies never;
  }
}

/** Changes one cell of the threading, the tie-up, the treadling or the lift plan; `on` for a tie or a lift. */
export function editDraft(draft: Draft, cell: DraftCell, on: boolean): Draft {
  const { part, across, up } = cell;
  switch (part) {
    case 'threading':
      return { ...draft, threading: draft.threading.with(across, up + 1) };
    case 'treadling': {
      const tieup = across < draft.tieup.length ? draft.tieup : [...draft.tieup, []];
      return { ...draft, tieup, treadling: draft.treadling.with(up, across + 1) };
    }
    case 'tieup': {
      const tieup = across < draft.tieup.length ? draft.tieup : [...draft.tieup, []];
      return { ...draft, tieup: tieup.with(across, withShaft(tieup[across]!, up + 1, on)) };
    }
    case 'lifts': {
      if (isFilled(draft, cell) === on) return draft;
      const lifts = draft.treadling.map((_, pick) => liftAt(draft, pick));
      return draftFromLifts(draft.threading, lifts.with(up, withShaft(lifts[up]!, across + 1, on)));
    }
    case 'drawdown':
      return draft;
    default:
      return part satisfies never;
  }
}

function liftAt({ tieup, treadling }: Draft, pick: number): readonly number[] {
  return tieup[treadling[pick]! - 1]!;
}

function withShaft(shafts: readonly number[], shaft: number, on: boolean): readonly number[] {
  const others = shafts.filter((each) => each !== shaft);
  return on ? [...others, shaft].sort((a, b) => a - b) : others;
}
