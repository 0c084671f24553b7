import { createReadStream, existsSync, mkdirSync } from 'node:fs';
import { readdir, rename, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { Readable } from 'node:stream';

/** Files that jobs have made, each by its key, in a folder. */
export interface KeptFiles {
  readonly has: (key: string) => boolean;
  /** Where a job writes its file before it is whole. */
  readonly partOf: (id: string) => string;
  /** Keeps what a job has written as the file of a key. */
  readonly keep: (id: string, key: string) => Promise<void>;
  /** Removes what a job has written. */
  readonly drop: (id: string) => Promise<void>;
  /** Bytes of a file. */
  readonly size: (key: string) => Promise<number>;
  readonly read: (key: string) => ReadableStream<Uint8Array>;
  /** Removes every file but those of these keys and those that these jobs are writing. */
  readonly dropOthers: (keys: ReadonlySet<string>, writing: readonly string[]) => Promise<void>;
}

const PART = '.part';

export function keptFiles(folder: string): KeptFiles {
  const path = (key: string) => join(folder, key);
  return {
    has: (key) => existsSync(path(key)),
    partOf: (id) => {
      mkdirSync(folder, { recursive: true });
      return path(id) + PART;
    },
    keep: (id, key) => rename(path(id) + PART, path(key)),
    drop: (id) => rm(path(id) + PART, { force: true }),
    size: async (key) => (await stat(path(key))).size,
    read: (key) => Readable.toWeb(createReadStream(path(key))) as ReadableStream<Uint8Array>,
    dropOthers: async (keys, writing) => {
      const names = await readdir(folder).catch(() => []);
      const parts = new Set(writing.map((id) => id + PART));
      const others = names.filter((name) => !keys.has(name) && !parts.has(name));
      await Promise.all(others.map((name) => rm(path(name), { force: true })));
    },
  };
}
