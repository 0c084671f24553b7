import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { EMPTY_TABLE, type Table } from './table.ts';

/** What a print house keeps over a restart: its table and the files that came, in a folder. */
export interface KeptTable {
  readonly read: () => Table;
  readonly write: (table: Table) => void;
  readonly keepFile: (key: string, bytes: Uint8Array) => void;
  readonly file: (key: string) => Uint8Array<ArrayBuffer> | undefined;
}

export function keptTable(folder: string): KeptTable {
  mkdirSync(folder, { recursive: true });
  const table = join(folder, 'table.json');
  const fileOf = (key: string) => join(folder, `${key}.png`);
  return {
    read: () => (existsSync(table) ? (JSON.parse(readFileSync(table, 'utf8')) as Table) : EMPTY_TABLE),
    // Written beside and put in its place, so that a restart in the middle finds the old one or the new.
    write: (state) => {
      writeFileSync(`${table}.new`, JSON.stringify(state));
      renameSync(`${table}.new`, table);
    },
    keepFile: (key, bytes) => writeFileSync(fileOf(key), bytes),
    file: (key) => (existsSync(fileOf(key)) ? Uint8Array.from(readFileSync(fileOf(key))) : undefined),
  };
}
