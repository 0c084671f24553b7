import { existsSync, linkSync, mkdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { z } from 'zod';
import { PRINT_TROUBLES, printAnswerSchema, printOrderSchema } from '../../contracts/print-house.ts';
import { CoreError } from '../../core/error.ts';
import { EMPTY_TABLE, type Table } from './table.ts';

/** What a print house keeps over a restart: its table and the files that came, in a folder. */
export interface KeptTable {
  /** @throws CoreError "print/table" {file} */
  readonly read: () => Table;
  readonly write: (table: Table) => void;
  readonly keepFile: (key: string, bytes: Uint8Array) => void;
  readonly file: (key: string) => Uint8Array<ArrayBuffer> | undefined;
}

const tableSchema: z.ZodType<Table> = z.object({
  orders: z.array(printAnswerSchema.extend({ order: printOrderSchema, turn: z.int().min(0) })),
  trouble: z.enum(PRINT_TROUBLES).or(z.literal('')),
});

export function keptTable(folder: string): KeptTable {
  mkdirSync(folder, { recursive: true });
  const table = join(folder, 'table.json');
  const before = `${table}.before`;
  let isWhole = false;
  const fileOf = (key: string) => join(folder, `${key}.png`);
  return {
    read: () => {
      if (!existsSync(table) && !existsSync(before)) return EMPTY_TABLE;
      const newest = readTable(table);
      isWhole = newest !== undefined;
      const read = newest ?? readTable(before);
      if (read === undefined) throw new CoreError('print/table', { file: table });
      return read;
    },
    // Written beside and put in its place, so that a restart in the middle finds the old one or the new; the last one that
    // was whole stays beside it.
    write: (state) => {
      writeFileSync(`${table}.new`, JSON.stringify(state));
      if (isWhole) {
        rmSync(before, { force: true });
        linkSync(table, before);
      }
      renameSync(`${table}.new`, table);
      isWhole = true;
    },
    keepFile: (key, bytes) => writeFileSync(fileOf(key), bytes),
    file: (key) => (existsSync(fileOf(key)) ? Uint8Array.from(readFileSync(fileOf(key))) : undefined),
  };
}

/** A table that is whole; undefined where there is none. */
function readTable(path: string): Table | undefined {
  try {
    return tableSchema.safeParse(JSON.parse(readFileSync(path, 'utf8'))).data;
  } catch {
    return undefined;
  }
}
