import { CoreError } from '../error.ts';
import { isDeep, MAX_DEPTH } from '../formats/json-depth.ts';
import { type Design, designSchema } from './design-schema.ts';
import { fieldFacts } from './field-facts.ts';
import { migrateDesign } from './migrate-design.ts';

/** Longest design document, in characters, the pictures that it carries included. */
export const MAX_DOCUMENT = 40_000_000;

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
 * @throws CoreError as `readDesign`, "design/too-long", "design/deep" or "design/json"
 */
export function readDesignText(text: string): Design {
  if (text.length > MAX_DOCUMENT) {
    throw new CoreError('design/too-long', { length: text.length, most: MAX_DOCUMENT });
  }
  if (isDeep(text)) throw new CoreError('design/deep', { most: MAX_DEPTH });
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
