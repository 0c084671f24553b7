import { z } from 'zod';
import { cleanText } from '../core/formats/clean-text.ts';

/** A new design; the document is read and migrated by the core. */
export const createRequest = z.strictObject({ document: z.unknown(), rangeId: z.string().optional() });

/** A write names the version it is based on. */
export const saveRequest = z.strictObject({ version: z.int().min(1), document: z.unknown() });
export type SaveRequest = z.infer<typeof saveRequest>;

export const renameRequest = z.strictObject({ name: z.string().overwrite(cleanText).trim().min(1).max(120) });
export const moveRequest = z.strictObject({ range: z.string().overwrite(cleanText).trim().max(120) });

/** What a design looks like on the wire. */
export const storedDesign = z.object({
  id: z.string(),
  version: z.int(),
  updatedAt: z.string(),
  range: z.string(),
  document: z.unknown(),
});

/** Answer to a write. */
export const savedAnswer = z.object({ id: z.string(), version: z.int(), updatedAt: z.string() });
export type SavedAnswer = z.infer<typeof savedAnswer>;

/** RFC 9457 problem details, with the code and facts of the error. */
export const problemSchema = z.object({
  type: z.string(),
  title: z.string(),
  status: z.int(),
  detail: z.string(),
  code: z.string(),
});
export type Problem = z.infer<typeof problemSchema>;
