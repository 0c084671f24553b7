import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { z } from 'zod';
import { CoreError } from '../../core/error.ts';

/** What a backup holds, written beside it when it was found to be whole. */
export const backupSchema = z.object({
  format: z.literal('vetro-backup'),
  version: z.literal(1),
  /** What it is called, without an ending. */
  name: z.string().regex(/^vetro-[\d-]+T[\d-]+Z$/),
  /** When it was made, ISO 8601. */
  at: z.iso.datetime(),
  /** Which shelf it is of: copies of one shelf carry one name. */
  shelf: z.string(),
  /** Of the database without its pictures, and its SHA-256 in hexadecimal. */
  bytes: z.int(),
  digest: z.string(),
  designs: z.int(),
  binned: z.int(),
  ranges: z.int(),
  /** Earlier states of designs. */
  states: z.int(),
  pictures: z.array(z.object({ hash: z.string().regex(/^[0-9a-f]{64}$/), bytes: z.int() })),
});
export type Backup = z.infer<typeof backupSchema>;

/** What the names of a shelf's backups begin with, in the order of their times. */
export function backupName(at: string): string {
  return `vetro-${at.replace(/[:.]/g, '-')}`;
}

export function databaseOf(folder: string, name: string): string {
  return join(folder, `${name}.db`);
}

export function factsOf(folder: string, name: string): string {
  return join(folder, `${name}.json`);
}

export function pictureOf(folder: string, hash: string): string {
  return join(folder, 'pictures', hash);
}

/** The backups of a folder, newest first; what is not whole is none. A folder that is not there has none. */
export function listBackups(folder: string): readonly Backup[] {
  if (!existsSync(folder)) return [];
  const names = readdirSync(folder).filter((file) => /^vetro-.*\.json$/.test(file));
  const found = names.flatMap((file) => readFacts(folder, file.slice(0, -'.json'.length)) ?? []);
  return found.sort((one, other) => (one.name < other.name ? 1 : -1));
}

/** @throws CoreError "backup/missing" {name} */
export function findBackup(folder: string, name: string): Backup {
  const found = listBackups(folder).find((each) => each.name === name);
  if (found === undefined) throw new CoreError('backup/missing', { name: name.slice(0, 60) });
  return found;
}

function readFacts(folder: string, name: string): Backup | undefined {
  try {
    const facts = backupSchema.parse(JSON.parse(readFileSync(factsOf(folder, name), 'utf8')));
    return facts.name === name && statSync(databaseOf(folder, name)).size === facts.bytes ? facts : undefined;
  } catch {
    return undefined;
  }
}
