import { createStore, del, entries, get, set, type UseStore } from 'idb-keyval';

/** What can be undone and redone on a design, as this browser keeps it over a reload. */
export interface KeptHistory<T> {
  readonly past: readonly T[];
  readonly present: T;
  readonly future: readonly T[];
  /** When it was kept, ISO 8601. */
  readonly at: string;
}

/** Most designs whose history is kept; those that were worked on longest ago go. */
const MOST_DESIGNS = 30;

let opened: UseStore | undefined;

function store(): UseStore {
  opened ??= createStore('vetro-undo', 'histories');
  return opened;
}

/** Keeps a design's history; where the browser keeps nothing, undo ends with the page. */
export async function keepHistory<T>(id: string, history: KeptHistory<T>): Promise<void> {
  try {
    await set(id, history, store());
    const all = await entries<string, KeptHistory<T>>(store());
    const old = [...all].sort(([, a], [, b]) => b.at.localeCompare(a.at)).slice(MOST_DESIGNS);
    await Promise.all(old.map(([key]) => del(key, store())));
  } catch {
    // Undo is a help, not a promise.
  }
}

export async function keptHistory<T>(id: string): Promise<KeptHistory<T> | undefined> {
  try {
    return await get<KeptHistory<T>>(id, store());
  } catch {
    return undefined;
  }
}
