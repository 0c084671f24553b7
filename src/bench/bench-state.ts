import type { Design } from '../core/design/design-schema.ts';
import type { RepeatReport } from '../core/repeat/check-repeat.ts';
import type { Direction, Edit } from './design-edits.ts';
import { sequenceOf } from './design-edits.ts';
import { type History, record, redo, settle, startHistory, undo } from './history.ts';

/** The order of work. */
export const STEPS = ['Colours', 'Build', 'Lay', 'Check', 'Send'] as const;
export type Step = (typeof STEPS)[number];

/** A typed band that is being worked on. */
export interface Selection {
  readonly direction: Direction;
  readonly band: number;
}

/** What the server has, and what stands between it and the bench. */
export type SavedState =
  | { readonly kind: 'saved'; readonly at: string }
  | { readonly kind: 'waiting' }
  | { readonly kind: 'saving' }
  | { readonly kind: 'failed'; readonly sentence: string; readonly offline: boolean }
  /** Saved somewhere else in the meantime; `asking` while the choice is put. */
  | { readonly kind: 'stale'; readonly asking: boolean };

export interface BenchState {
  readonly id: string;
  readonly range: string;
  readonly history: History<Design>;
  /** Version on the server that the bench's design is based on. */
  readonly version: number;
  /** The design as the server has it. */
  readonly stored: Design;
  readonly saved: SavedState;
  readonly step: Step;
  readonly selection: Selection | undefined;
  readonly report: RepeatReport | undefined;
  /** Why the check could say nothing of these numbers: a sentence. */
  readonly unmade: string | undefined;
  /** Why there is no cloth: a sentence. */
  readonly problem: string | undefined;
}

export type BenchAction =
  | { readonly kind: 'edit'; readonly edit: Edit; readonly tag?: string; readonly select?: Selection }
  | { readonly kind: 'settle' | 'undo' | 'redo' }
  | { readonly kind: 'step'; readonly step: Step }
  | { readonly kind: 'select'; readonly selection: Selection | undefined }
  | { readonly kind: 'saving'; readonly saved: SavedState }
  | { readonly kind: 'stored'; readonly design: Design; readonly version: number; readonly at: string }
  | { readonly kind: 'report'; readonly report: RepeatReport }
  | { readonly kind: 'unmade'; readonly sentence: string }
  | { readonly kind: 'problem'; readonly problem: string | undefined };

export interface OpenedDesign {
  readonly id: string;
  readonly range: string;
  readonly version: number;
  readonly updatedAt: string;
  readonly document: Design;
}

export function openBench({ id, range, version, updatedAt, document }: OpenedDesign): BenchState {
  return {
    id,
    range,
    history: startHistory(document),
    version,
    stored: document,
    saved: { kind: 'saved', at: updatedAt },
    step: 'Build',
    selection: undefined,
    report: undefined,
    unmade: undefined,
    problem: undefined,
  };
}

export function reduceBench(state: BenchState, action: BenchAction): BenchState {
  switch (action.kind) {
    case 'edit': {
      const history = record(state.history, action.edit(state.history.present), action.tag);
      const selected = action.select === undefined ? state : { ...state, selection: action.select };
      return withHistory(selected, history);
    }
    case 'settle':
      return { ...state, history: settle(state.history) };
    case 'undo':
      return withHistory(state, undo(state.history));
    case 'redo':
      return withHistory(state, redo(state.history));
    case 'step':
      return { ...state, step: action.step };
    case 'select':
      return { ...state, selection: action.selection, history: settle(state.history) };
    case 'saving':
      return { ...state, saved: action.saved };
    case 'stored': {
      const current = action.design === state.history.present;
      const saved: SavedState = current ? { kind: 'saved', at: action.at } : { kind: 'waiting' };
      return { ...state, stored: action.design, version: action.version, saved };
    }
    case 'report':
      return { ...state, report: action.report, unmade: undefined };
    case 'unmade':
      // What was found before is of other numbers.
      return { ...state, report: undefined, unmade: action.sentence };
    case 'problem':
      return state.problem === action.problem ? state : { ...state, problem: action.problem };
    default:
      return action satisfies never;
  }
}

/** The verdict on the bench, once there is one: what cannot be made does not repeat. */
export function verdictOf({ report, unmade }: BenchState): RepeatReport['verdict'] | undefined {
  return unmade === undefined ? report?.verdict : 'Open';
}

/** Puts in another history; a selection that has lost its band goes, and what is new waits to be saved. */
function withHistory(state: BenchState, history: History<Design>): BenchState {
  if (history === state.history) return state;
  const { selection } = state;
  const kept =
    selection !== undefined && selection.band < sequenceOf(history.present, selection.direction).bands.length;
  const changed = history.present !== state.history.present;
  return {
    ...state,
    history,
    selection: kept ? selection : undefined,
    saved: changed && state.saved.kind !== 'stale' ? { kind: 'waiting' } : state.saved,
  };
}
