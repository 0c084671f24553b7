import { z } from 'zod';

/** What the weaver asks for: throw the pick, go to another, or only look. */
export const loomRequest = z.strictObject({
  action: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('look') }),
    /** The pick that the weaver sees as next: it is thrown once, however often it is asked for. */
    z.strictObject({ kind: z.literal('throw'), pick: z.int().min(0).max(100_000_000) }),
    z.strictObject({ kind: z.literal('go'), pick: z.int().min(0).max(100_000_000) }),
  ]),
});
export type LoomAction = z.infer<typeof loomRequest>['action'];

/** What the weaver sees. Picks count from 0; shafts from 1. */
export const loomView = z.object({
  /** The pick that is thrown next. */
  pick: z.int(),
  /** Picks of one repeat. */
  repeat: z.int(),
  shafts: z.int(),
  /** Shafts that the next pick lifts, its shade and that of the one after. */
  lift: z.array(z.int()),
  shade: z.object({ name: z.string(), hex: z.string() }),
  after: z.object({ name: z.string(), hex: z.string() }),
  /** Shafts that the loom said it raised, when a pick was thrown now. */
  raised: z.array(z.int()).nullable(),
  /** Port at which the loom is asked. */
  port: z.int(),
});
export type LoomView = z.infer<typeof loomView>;
