import { createStore, promisifyRequest, type UseStore, values } from 'idb-keyval';
import { z } from 'zod';
import type { Design } from '../../core/design/design-schema.ts';
import { readDesign } from '../../core/design/read-design.ts';
import { forget, keep, namesKept, readKept } from './browser-store.ts';

/**
 * Work that the server does not have yet, kept in this browser. Every page keeps its own under a key of its own, so that
 * two pages never write over each other. A draft goes only when its content is known to be stored or a person says so.
 */
const draftSchema = z.object({
  key: z.string(),
  /** The design, and the version of it that the work is based on. */
  id: z.string(),
  version: z.int(),
  name: z.string(),
  /** When it was kept, ISO 8601; empty where nobody knows. */
  at: z.string(),
  /** The design's document, of whatever version of Vetro. */
  document: z.unknown(),
});
export type Draft = z.infer<typeof draftSchema>;

const PREFIX = 'vetro-draft:';

/** Before pages had keys of their own, a design's one draft stood under its id. */
const OLDER = 'vetro-draft-';

/** Key of the work that this page does on a design; pages are told apart by chance. */
export function draftKey(id: string): string {
  return `${PREFIX}${id}:${PAGE}`;
}

const PAGE = [...crypto.getRandomValues(new Uint8Array(12))].map((byte) => byte.toString(36)).join('');

let opened: UseStore | undefined;

/** @throws where the browser forbids it */
function store(): UseStore {
  opened ??= createStore('vetro', 'drafts');
  return opened;
}

/** Keeps a draft. @returns whether it is kept */
export async function keepDraft(draft: Draft): Promise<boolean> {
  try {
    await store()('readwrite', (objects) => {
      objects.put(draft, draft.key);
      // Begun at once, it is done even when the page goes away now.
      objects.transaction.commit?.();
      return promisifyRequest(objects.transaction);
    });
    // What was kept in haste before is older.
    forget(draft.key);
    return true;
  } catch {
    return keepInHaste(draft);
  }
}

/** Keeps a draft before this function returns, for a page that goes away. @returns whether it is kept */
export function keepInHaste(draft: Draft): boolean {
  return keep(draft.key, JSON.stringify(draft));
}

export async function forgetDraft(key: string): Promise<void> {
  forget(key);
  try {
    await store()('readwrite', (objects) => {
      objects.delete(key);
      return promisifyRequest(objects.transaction);
    });
  } catch {
    // Where nothing may be kept, there is nothing to forget.
  }
}

/** Every draft in this browser, or those of one design, the newest first. */
export async function listDrafts(id?: string): Promise<readonly Draft[]> {
  const kept = await valuesOrNone();
  const hasty = namesKept(PREFIX).map((name) => parsed(readKept(name) ?? ''));
  const drafts = new Map<string, Draft>();
  for (const value of [...kept, ...hasty, ...olderDrafts()]) {
    const draft = draftSchema.safeParse(value).data;
    if (draft === undefined || (id !== undefined && draft.id !== id)) continue;
    const other = drafts.get(draft.key);
    if (other === undefined || other.at < draft.at) drafts.set(draft.key, draft);
  }
  return [...drafts.values()].sort((a, b) => (a.at < b.at ? 1 : -1));
}

function olderDrafts(): readonly unknown[] {
  return namesKept(OLDER).map((key) => {
    const { version, design } = Object(parsed(readKept(key) ?? '')) as {
      version?: unknown;
      design?: unknown;
    };
    const { name } = Object(design) as { name?: unknown };
    return { key, id: key.slice(OLDER.length), version, name, at: '', document: design };
  });
}

async function valuesOrNone(): Promise<readonly unknown[]> {
  try {
    return await values<unknown>(store());
  } catch {
    return [];
  }
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

/** A draft's design; undefined where a newer Vetro kept it, or where it cannot be read. */
export function designIn({ document }: Draft): Design | undefined {
  try {
    return readDesign(document);
  } catch {
    return undefined;
  }
}

/** Documents are written field by field in one order, so their text tells. */
export function sameDocument(a: unknown, b: unknown): boolean {
  return JSON.stringify(a) === JSON.stringify(b);
}

/** Holds a key for as long as the page lives, so that others see that its work goes on. */
export function holdDraft(key: string): void {
  void navigator.locks?.request(key, () => new Promise(() => {})).catch(() => {});
}

/** Keys whose pages are open. Without the browser's locks nobody can tell, and none is. */
export async function heldDrafts(): Promise<ReadonlySet<string>> {
  const found = await navigator.locks?.query().catch(() => undefined);
  return new Set(found?.held?.map(({ name }) => name ?? ''));
}
