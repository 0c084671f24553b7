import type { z } from 'zod';
import { CoreError } from '../error.ts';
import { type Design, designSchema } from './design-schema.ts';
import { migrateDesign } from './migrate-design.ts';

/** Longest design document, in characters. */
export const MAX_DOCUMENT = 2_000_000;

/**
 * Reads a design document of any known version.
 * @throws CoreError as `migrateDesign`, or "design/field" {path, problem} for the first field that is wrong
 */
export function readDesign(document: unknown): Design {
  const result = designSchema.safeParse(migrateDesign(document));
  if (result.success) return result.data;
  throw new CoreError('design/field', fieldFacts(result.error));
}

/**
 * Reads a design document from JSON text.
 * @throws CoreError as `readDesign`, "design/too-long" or "design/json"
 */
export function readDesignText(text: string): Design {
  if (text.length > MAX_DOCUMENT) {
    throw new CoreError('design/too-long', { length: text.length, most: MAX_DOCUMENT });
  }
  let document: unknown;
  try {
    document = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    throw new CoreError('design/json', {});
  }
  return readDesign(document);
}

/** The document as JSON text. */
export function writeDesignText(design: Design): string {
  return `${JSON.stringify(design, null, 2)}\n`;
}

/** Where the first thing is wrong, what, and what a reader of ours says of it. */
function fieldFacts({ issues: [issue] }: z.ZodError) {
  const said = issue?.code === 'custom' ? issue.params : undefined;
  return { ...said, path: issue?.path.join('.') ?? '', problem: issue?.message ?? '' };
}
