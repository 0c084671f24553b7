/** A value with the values before and after it. */
export interface History<T> {
  readonly past: readonly T[];
  readonly present: T;
  readonly future: readonly T[];
  /** What the last change was part of: changes with the same tag are undone together. */
  readonly tag: string | undefined;
}

/** Most steps that can be undone. */
const MOST = 500;

export function startHistory<T>(present: T): History<T> {
  return { past: [], present, future: [], tag: undefined };
}

/** Adds a change. With the tag of the change before it, both become one step. */
export function record<T>(history: History<T>, next: T, tag?: string): History<T> {
  if (next === history.present) return history;
  const joined = tag !== undefined && tag === history.tag;
  const past = joined ? history.past : [...history.past.slice(-MOST + 1), history.present];
  return { past, present: next, future: [], tag };
}

/** Ends a run of changes, so that the next one is a step of its own. */
export function settle<T>(history: History<T>): History<T> {
  return history.tag === undefined ? history : { ...history, tag: undefined };
}

export function undo<T>(history: History<T>): History<T> {
  const previous = history.past.at(-1);
  if (previous === undefined) return history;
  const future = [history.present, ...history.future];
  return { past: history.past.slice(0, -1), present: previous, future, tag: undefined };
}

export function redo<T>(history: History<T>): History<T> {
  const [next, ...future] = history.future;
  if (next === undefined) return history;
  return { past: [...history.past, history.present], present: next, future, tag: undefined };
}
