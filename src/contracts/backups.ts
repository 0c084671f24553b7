import { z } from 'zod';

/** How a shelf is backed up. */
export const backupsSchema = z.object({
  /** Where backups lie. */
  folder: z.string(),
  /** A folder that they are copied to; empty while there is none. */
  second: z.string(),
  /** Both lie on one disk, and go with it. */
  sameDisk: z.boolean(),
  /** Sentences: what keeps backups from being made at the moment. */
  trouble: z.array(z.string()),
  /** Newest first. */
  backups: z.array(
    z.object({
      name: z.string(),
      at: z.string(),
      /** Of the database, and of the pictures that lie beside it, each once for all backups. */
      bytes: z.int(),
      pictureBytes: z.int(),
      designs: z.int(),
      binned: z.int(),
      ranges: z.int(),
      states: z.int(),
      /** In how many places it lies. */
      places: z.int(),
    }),
  ),
});
export type BackupsState = z.infer<typeof backupsSchema>;

export const secondPlaceRequest = z.strictObject({ folder: z.string().trim().max(1000) });

/** How a design of another shelf stands to this one. */
export const STANDINGS = [
  /** It is not here. */
  'new',
  /** It lies in the bin here. */
  'binned',
  'same',
  /** It was worked on there since, here it is an earlier state of that. */
  'there',
  /** It was worked on here since. */
  'here',
  /** It was worked on in both places. */
  'both',
] as const;
export type Standing = (typeof STANDINGS)[number];

/** What becomes of a design that is not the same. */
export const TAKINGS = ['replace', 'beside', 'skip'] as const;
export type Taking = (typeof TAKINGS)[number];

const otherDesign = z.object({
  id: z.string(),
  name: z.string(),
  number: z.string(),
  /** Empty where it is in none. */
  range: z.string(),
  standing: z.enum(STANDINGS),
  /** When it was last saved there, and here; empty where it is not. */
  at: z.string(),
  hereAt: z.string(),
  /** It lies in the bin there. */
  binnedThere: z.boolean(),
});
export type OtherDesign = z.infer<typeof otherDesign>;

/** Another shelf beside this one: a backup, or an archive that was brought. */
export const openedSchema = z.object({
  id: z.string(),
  kind: z.enum(['backup', 'archive']),
  title: z.string(),
  /** When it was made, ISO 8601; empty where nothing says. */
  at: z.string(),
  designs: z.array(otherDesign),
  /** Designs that hang here and are not there: all of it brought back puts them in the bin. */
  onlyHere: z.array(z.object({ id: z.string(), name: z.string(), number: z.string() })),
  /** Pictures that it names and does not hold. */
  missingPictures: z.int(),
});
export type OpenedShelf = z.infer<typeof openedSchema>;

/** What is taken from another shelf. */
export const takeRequest = z.strictObject({
  /** By their ids there; what is not named is left. */
  choices: z.record(z.string().max(100), z.enum(TAKINGS)),
  /** The shelf becomes as it was there: what is only here goes into the bin, ranges and favourites are as there. */
  whole: z.boolean().default(false),
});
export type TakeRequest = z.infer<typeof takeRequest>;

/** How far it is. */
export const takenSchema = z.object({
  state: z.enum(['ready', 'taking', 'taken', 'stopped', 'failed']),
  made: z.int(),
  of: z.int(),
  added: z.int(),
  replaced: z.int(),
  binned: z.int(),
  /** What went wrong, in a sentence; empty where nothing did. */
  problem: z.string(),
});
export type Taken = z.infer<typeof takenSchema>;
