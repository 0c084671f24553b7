import { z } from 'zod';

/** How an order stands at a print house. */
export const PRINT_STATES = [
  'taken',
  'checked',
  'on-the-table',
  'printing',
  'done',
  'refused',
  'called-off',
] as const;

/** What keeps a print house from going on. */
export const PRINT_TROUBLES = ['jam', 'ink'] as const;

/** How an order that goes on stands for whoever ordered: the line to the house may be lost too. */
export const PRINT_STANDINGS = [
  'taken',
  'checked',
  'on-the-table',
  'printing',
  ...PRINT_TROUBLES,
  'lost',
  'calling-off',
] as const;
export type PrintStanding = (typeof PRINT_STANDINGS)[number];

/** Whether a print house is there to take orders. */
export const houseSchema = z.object({ address: z.string(), answers: z.boolean() });
export type HouseFacts = z.infer<typeof houseSchema>;

/** Why a print house refuses an order. */
export const PRINT_REFUSALS = ['substrate', 'resolution', 'width', 'repeat', 'file', 'colours'] as const;

/** A key that whoever orders has chosen: what is put under it twice is one order. */
export const PRINT_KEY = /^[\w-]{8,80}$/;

/** An order, without its file. Lengths in millimetres. */
export const printOrderSchema = z.strictObject({
  name: z.string().min(1).max(200),
  kind: z.enum(['strike-off', 'run']),
  substrate: z.string().max(60),
  /** Of cloth that is printed. */
  length: z.number().min(1).max(1_000_000),
  /** Of the file. */
  dpi: z.number().min(1).max(10_000),
  width: z.int().min(1),
  height: z.int().min(1),
  /** Whether the file repeats when it is laid edge to edge. */
  repeats: z.boolean(),
});
export type PrintOrder = z.infer<typeof printOrderSchema>;

/** How an order stands. */
export const printAnswerSchema = z.object({
  key: z.string(),
  state: z.enum(PRINT_STATES),
  /** Of the order's length, in millimetres. */
  printed: z.number(),
  length: z.number(),
  /** Empty where nothing keeps the house from going on. */
  trouble: z.enum(PRINT_TROUBLES).or(z.literal('')),
  /** Empty where the order is not refused. */
  refusal: z.enum(PRINT_REFUSALS).or(z.literal('')),
});
export type PrintAnswer = z.infer<typeof printAnswerSchema>;

/** How an order that goes on stands; empty where it has ended. */
export function standingOf({ state, trouble }: Pick<PrintAnswer, 'state' | 'trouble'>): PrintStanding | '' {
  if (state === 'done' || state === 'refused' || state === 'called-off') return '';
  return trouble === '' ? state : trouble;
}

/** What a hand at the table does, for trying. */
export const handSchema = z.strictObject({ do: z.enum(['jam', 'ink', 'mend', 'line']) });
export type Hand = z.infer<typeof handSchema>['do'];
