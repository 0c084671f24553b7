import { z } from 'zod';
import { cleanText } from '../core/formats/clean-text.ts';

/** An earlier state of a design. */
export const revisionSchema = z.object({
  id: z.string(),
  /** Empty while nobody has named it. */
  name: z.string(),
  /** The design's version that it was. */
  version: z.int(),
  /** Since when it was as it is here, ISO 8601. */
  at: z.string(),
});
export type Revision = z.infer<typeof revisionSchema>;

export const revisionsAnswer = z.array(revisionSchema);

/** One of them with its document. */
export const revisionAnswer = revisionSchema.extend({ document: z.unknown() });

/** Keeps what is stored now under a name, or gives an earlier state one; an empty name takes it away. */
export const nameRequest = z.strictObject({ name: z.string().overwrite(cleanText).trim().max(120) });
