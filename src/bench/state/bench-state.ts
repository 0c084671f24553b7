import type { Direction } from '../../core/design/construction.ts';
import type { Design } from '../../core/design/design-schema.ts';
import type { RepeatReport } from '../../core/repeat/check-repeat.ts';
import { sequenceOf } from './band-edits.ts';
import type { Edit } from './design-edits.ts';
import { type History, record, redo, settle, startHistory, undo } from './history.ts';

/** The order of work. */
export const STEPS = ['Colours', 'Build', 'Lay', 'Check', 'Try on', 'Send'] as const;
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

/** What is wrong with one state of the design: it says nothing of any other. */
interface Trouble {
  readonly design: Design;
  readonly sentence: string;
}

/** What the check found of one state of the design. */
export interface Checked {
  readonly design: Design;
  readonly report: RepeatReport;
}

export interface BenchState {
  readonly id: string;
  readonly range: string;
  readonly history: History<Design>;
  /** Version on the server that the bench's design is based on. */
  readonly version: number;
  /** The design as the server has it, and since when. */
  readonly stored: Design;
  readonly storedAt: string;
  readonly saved: SavedState;
  /** The design as this browser keeps it for fear of losing it; undefined where it keeps none. */
  readonly kept: Design | undefined;
  readonly step: Step;
  readonly selection: Selection | undefined;
  /** What the check found last, and of which state of the design. */
  readonly checked: Checked | undefined;
  /** Why the check could say nothing of a design's numbers. */
  readonly unmade: Trouble | undefined;
  /** Why there is no cloth of a design. */
  readonly problem: Trouble | undefined;
}

export type BenchAction =
  | { readonly kind: 'edit'; readonly edit: Edit; readonly tag?: string; readonly select?: Selection }
  | { readonly kind: 'settle' | 'undo' | 'redo' }
  /** What this browser kept of an earlier page's history; what is on the bench stays. */
  | { readonly kind: 'remember'; readonly past: readonly Design[]; readonly future: readonly Design[] }
  | { readonly kind: 'step'; readonly step: Step }
  | { readonly kind: 'select'; readonly selection: Selection | undefined }
  | { readonly kind: 'saving'; readonly saved: SavedState }
  | { readonly kind: 'stored'; readonly design: Design; readonly version: number; readonly at: string }
  | ({ readonly kind: 'report' } & Checked)
  | { readonly kind: 'kept'; readonly design: Design | undefined }
  | { readonly kind: 'unmade' | 'problem'; readonly design: Design; readonly sentence: string }
  | { readonly kind: 'painted' };

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
    storedAt: updatedAt,
    saved: { kind: 'saved', at: updatedAt },
    kept: undefined,
    step: 'Build',
    selection: undefined,
    checked: undefined,
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
    case 'remember':
      return { ...state, history: { ...state.history, past: action.past, future: action.future } };
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
      return { ...state, stored: action.design, storedAt: action.at, version: action.version, saved };
    }
    case 'report':
      return { ...state, checked: action, unmade: undefined };
    case 'unmade':
      // What was found before is of other numbers.
      return { ...state, checked: undefined, unmade: action };
    case 'problem':
      return { ...state, problem: action };
    case 'painted':
      return state.problem === undefined ? state : { ...state, problem: undefined };
    case 'kept':
      return { ...state, kept: action.design };
    default:
      return action satisfies never;
  }
}

/** What the check found of the design as it is now; undefined until it has looked at it. */
export function reportOf(state: BenchState): RepeatReport | undefined {
  return isCheckDue(state) ? undefined : state.checked?.report;
}

/** Whether what the check found last is of an earlier state of the design. */
export function isCheckDue({ checked, history }: BenchState): boolean {
  return checked !== undefined && !isMadeAlike(checked.design, history.present);
}

/** The verdict found last: what cannot be made does not repeat. `isCheckDue` tells whether it is of an earlier state. */
export function verdictOf(state: BenchState): RepeatReport['verdict'] | undefined {
  return unmadeOf(state) === undefined ? state.checked?.report.verdict : 'Open';
}

/** Fields of a design that its cloth and its check are made of. */
const MADE_OF = ['construction', 'shades', 'lay', 'resolution', 'pictures'] as const;

/** Whether two states of a design have the same cloth: they differ at most in words, scenes and yarn. */
export function isMadeAlike(a: Design, b: Design): boolean {
  return MADE_OF.every((field) => a[field] === b[field]);
}

/** Why there is no cloth of the design as it is now: a sentence. */
export function problemOf({ problem, history }: BenchState): string | undefined {
  return problem?.design === history.present ? problem.sentence : undefined;
}

/** Why the check can say nothing of the design as it is now: a sentence. */
export function unmadeOf({ unmade, history }: BenchState): string | undefined {
  return unmade?.design === history.present ? unmade.sentence : undefined;
}

/** Puts in another history; a selection that has lost its band goes, and what is new waits to be saved. */
function withHistory(state: BenchState, history: History<Design>): BenchState {
  if (history === state.history) return state;
  const { selection } = state;
  const kept =
    selection !== undefined && selection.band < sequenceOf(history.present, selection.direction).bands.length;
  return {
    ...state,
    history,
    selection: kept ? selection : undefined,
    saved: history.present === state.history.present ? state.saved : savedAfter(state, history.present),
  };
}

function savedAfter({ saved, stored, storedAt }: BenchState, design: Design): SavedState {
  if (saved.kind === 'stale') return saved;
  // Undone to what the server has; a write that is under way is followed by another.
  const back = design === stored && saved.kind !== 'saving';
  return back ? { kind: 'saved', at: storedAt } : { kind: 'waiting' };
}
