import { z } from 'zod';
import { PICTURE_TYPES } from '../../core/shape/picture.ts';

/** What the file is called that says what an archive holds. */
export const CONTENTS = 'shelf.json';

export const ARCHIVE_FORMAT = 'vetro-shelf';
export const ARCHIVE_VERSION = 1;

/** Largest archive, what it unpacks to, and how many files are in it. */
export const MOST_ARCHIVE = 300_000_000;
export const MOST_UNPACKED = 1_500_000_000;
export const MOST_FILES = 200_000;

/** Settings that go with a shelf. What belongs to this machine or guards it stays. */
export function isMoved(setting: string): setting is 'shelf-title' {
  return /^(shelf-title|loom:.*)$/.test(setting);
}

const time = z.iso.datetime();
const path = z.string().max(400);

const stateSchema = z.object({
  id: z.uuid(),
  /** Empty while nobody has named it. */
  name: z.string().max(200),
  version: z.int().min(1),
  at: time,
  keptAt: time,
  file: path,
});

const designSchema = z.object({
  id: z.uuid(),
  file: path,
  version: z.int().min(1),
  createdAt: time,
  updatedAt: time,
  /** The name of a range; null where it is in none. */
  range: z.string().max(200).nullable(),
  position: z.int(),
  favourite: z.boolean(),
  /** Set while it lies in the bin. */
  deletedAt: time.nullable(),
  states: z.array(stateSchema),
});

const hash = z.string().regex(/^[0-9a-f]{64}$/);

/** What an archive holds, as docs/formats.md tells. */
export const contentsSchema = z.object({
  format: z.literal(ARCHIVE_FORMAT),
  version: z.literal(ARCHIVE_VERSION),
  /** When it was made: all in it that is not of the shelf. */
  date: time,
  title: z.string().max(200),
  /** In their order. */
  ranges: z.array(z.string().max(200)),
  designs: z.array(designSchema),
  pictures: z.array(z.object({ hash, type: z.enum(PICTURE_TYPES), file: path })),
  settings: z.record(z.string().max(100), z.string().max(4000)),
});
export type Contents = z.infer<typeof contentsSchema>;
