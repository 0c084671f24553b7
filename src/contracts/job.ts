import { z } from 'zod';
import { PRINT_STANDINGS } from './print-house.ts';

/** Days that a file is kept after it was asked for. */
export const DAYS_KEPT = 7;

export const JOB_STATES = ['waiting', 'working', 'done', 'failed', 'stopped'] as const;

/** What a print house is asked for: a strike-off, of which a picture comes back, and a run, of which a note does. */
export const PRINT_FILES = { 'strike-off': 'print.png', run: 'print.txt' } as const;

/** Whether a file comes back from a print house. */
export function isPrinted({ file }: Pick<Job, 'file'>): boolean {
  return Object.values<string>(PRINT_FILES).includes(file);
}

/** The designs of a range on pages; its other designs are named beside the first. */
export const COLLECTION_FILE = 'collection.pdf';

/** Most designs beside the first. */
const MOST_OTHERS = 199;

/** A file that is being made, or was. */
export const jobSchema = z.object({
  id: z.string(),
  designId: z.string(),
  designName: z.string(),
  /** The file as the server calls it, such as "tile.png", and the name under which it is saved. */
  file: z.string(),
  name: z.string(),
  /** What was asked for, as addresses write it. */
  query: z.string(),
  state: z.enum(JOB_STATES),
  /** Rows made, and how many there are; 0 of 0 where nobody knows. In print: millimetres of cloth. */
  made: z.int(),
  of: z.int(),
  /** How it stands at the print house; empty for what is not there. */
  stands: z.enum(PRINT_STANDINGS).or(z.literal('')),
  /** Of the file, when it is done. */
  bytes: z.int(),
  /** Why it failed, in a sentence; empty where it did not. */
  trouble: z.string(),
  madeAt: z.string(),
  beganAt: z.string().nullable(),
  endedAt: z.string().nullable(),
  /** Whether the file is still kept. */
  kept: z.boolean(),
});
export type Job = z.infer<typeof jobSchema>;

export const jobsSchema = z.array(jobSchema);

/** What is asked to be made of a stored design. */
export const newJobSchema = z.strictObject({
  designId: z.string().min(1).max(100),
  /** The version that is meant. */
  version: z.int().min(1),
  file: z.string().min(1).max(60),
  query: z.string().max(4000),
  /** Further designs, for a file that holds several. */
  others: z.array(z.string().min(1).max(100)).max(MOST_OTHERS).default([]),
});
export type NewJob = z.infer<typeof newJobSchema>;
export type NewJobRequest = z.input<typeof newJobSchema>;

/** Whether it goes on. */
export function isUnderWay({ state }: Pick<Job, 'state'>): boolean {
  return state === 'waiting' || state === 'working';
}
