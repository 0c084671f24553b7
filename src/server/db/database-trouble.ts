import { CoreError } from '../../core/error.ts';
import type { BareCode } from '../../core/error-facts.ts';

/** What SQLite says when it is the machine that stands in the way. Source: SQLite Result and Error Codes. */
const TROUBLE: readonly (readonly [code: string, ours: BareCode])[] = [
  ['SQLITE_FULL', 'database/full'],
  ['SQLITE_IOERR_WRITE', 'database/full'],
  ['SQLITE_BUSY', 'database/locked'],
  ['SQLITE_LOCKED', 'database/locked'],
  ['SQLITE_READONLY', 'database/read-only'],
];

/** An error of the database that its owner can do something about; undefined for all others. */
export function databaseTrouble(error: unknown): CoreError | undefined {
  if (!(error instanceof Error)) return undefined;
  const code = String((error as { code?: unknown }).code ?? '');
  const found = TROUBLE.find(([known]) => code === known || code.startsWith(`${known}_`));
  return found && new CoreError(found[1]);
}
