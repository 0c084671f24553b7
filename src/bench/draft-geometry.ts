import type { Draft } from '../core/thread/weaves/weave-spec.ts';
import { MAX_SHAFTS, MAX_TREADLES } from '../core/thread/weaves/weave-spec.ts';

/** The four parts of a draft: threading above, tie-up beside it, treadling to the right of the drawdown. */
export type DraftPart = 'threading' | 'tieup' | 'treadling' | 'drawdown';

/** Where the parts lie, in cells; y downward. */
export interface DraftLayout {
  readonly ends: number;
  readonly picks: number;
  /** Rows and columns that are shown: one more than are used, so that another can be taken. */
  readonly shafts: number;
  readonly treadles: number;
}

/** Cells between the parts. */
export const GAP = 1;

export function layoutOf({ threading, treadling, tieup }: Draft, used: number): DraftLayout {
  return {
    ends: threading.length,
    picks: treadling.length,
    shafts: Math.min(MAX_SHAFTS, used + 1),
    treadles: Math.min(MAX_TREADLES, tieup.length + 1),
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
  { ends, picks, shafts, treadles }: DraftLayout,
  x: number,
  y: number,
): DraftCell | undefined {
  const column = Math.floor(x);
  const row = Math.floor(y);
  const right = column - ends - GAP;
  const below = row - shafts - GAP;
  const left = column >= 0 && column < ends;
  const above = row >= 0 && row < shafts;
  if (left && above) return { part: 'threading', across: column, up: shafts - 1 - row };
  if (above && right >= 0 && right < treadles) return { part: 'tieup', across: right, up: shafts - 1 - row };
  if (below < 0 || below >= picks) return undefined;
  if (left) return { part: 'drawdown', across: column, up: picks - 1 - below };
  return right >= 0 && right < treadles
    ? { part: 'treadling', across: right, up: picks - 1 - below }
    : undefined;
}

/** Changes one cell of the threading, the tie-up or the treadling; `on` for a tie. */
export function editDraft(draft: Draft, { part, across, up }: DraftCell, on: boolean): Draft {
  switch (part) {
    case 'threading':
      return { ...draft, threading: draft.threading.with(across, up + 1) };
    case 'treadling': {
      const tieup = across < draft.tieup.length ? draft.tieup : [...draft.tieup, []];
      return { ...draft, tieup, treadling: draft.treadling.with(up, across + 1) };
    }
    case 'tieup': {
      const tieup = across < draft.tieup.length ? draft.tieup : [...draft.tieup, []];
      const others = tieup[across]!.filter((shaft) => shaft !== up + 1);
      const shafts = on ? [...others, up + 1].sort((a, b) => a - b) : others;
      return { ...draft, tieup: tieup.with(across, shafts) };
    }
    case 'drawdown':
      return draft;
    default:
      return part satisfies never;
  }
}
