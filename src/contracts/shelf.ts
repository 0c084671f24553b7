import { z } from 'zod';
import { type ByKind, KINDS } from '../core/design/constructions.ts';

/** What the shelf knows of a design without opening it. */
export const summarySchema = z.object({
  id: z.string(),
  name: z.string(),
  number: z.string(),
  kind: z.enum([...(Object.keys(KINDS) as (keyof ByKind)[]), 'weave']),
  version: z.int(),
  /** Checking: its check goes on. Unchecked: it was stopped, since it took too long or too much memory. */
  verdict: z.enum(['Exact', 'Fitted', 'Open', 'Checking', 'Unchecked']),
  /** One repeat in words; empty when there is none. */
  size: z.string(),
  /** Its area in square millimetres. */
  area: z.number(),
  search: z.string(),
  favourite: z.boolean(),
  updatedAt: z.string(),
});
export type Summary = z.infer<typeof summarySchema>;
export type Kind = Summary['kind'];

/** A named group of designs; the one without a name holds those in no range, or all of them in another order. */
export const rangeSchema = z.object({
  id: z.string(),
  name: z.string(),
  /** Designs of it that the view shows, on all pages. */
  count: z.int(),
  /** Those of this page. */
  designs: z.array(summarySchema),
});
export type Range = z.infer<typeof rangeSchema>;

/** A design in the bin. */
export const binnedSchema = summarySchema.extend({ deletedAt: z.string() });
export type Binned = z.infer<typeof binnedSchema>;

export const binAnswer = z.array(binnedSchema);

export const favouriteRequest = z.strictObject({ favourite: z.boolean() });

/** A page of what hangs on the shelf. */
export const shelfSchema = z.object({
  title: z.string(),
  ranges: z.array(rangeSchema),
  /** Names of all ranges, in their order. */
  rangeNames: z.array(z.string()),
  /** Designs that the view shows, on all pages. */
  found: z.int(),
  /** Designs that hang on the shelf, whatever is looked for. */
  total: z.int(),
  /** Where the next page begins; null after the last. */
  next: z.int().nullable(),
  /** How many lie in the bin. */
  binned: z.int(),
  /** Designs that are stored but cannot be read. */
  unreadable: z.int(),
});
export type Shelf = z.infer<typeof shelfSchema>;
