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
  /** Removes the oldest files until no more than so many bytes are kept. */
  readonly dropBeyond: (bytes: number) => Promise<void>;
  /** Removes every file but those of these keys and those that these jobs are writing. */
  readonly dropOthers: (keys: ReadonlySet<string>, writing: readonly string[]) => Promise<void>;
}

const PART = '.part';

export function keptFiles(folder: string): KeptFiles {
  const path = (key: string) => join(folder, key);
  const names = () => readdir(folder).catch(() => [] as string[]);
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
    dropBeyond: async (bytes) => {
      const whole = (await names()).filter((name) => !name.endsWith(PART));
      const files = await Promise.all(
        whole.map(async (name) => {
          const { size, mtimeMs } = await stat(path(name));
          return { name, size, mtimeMs };
        }),
      );
      let kept = 0;
      for (const { name, size } of files.sort((a, b) => b.mtimeMs - a.mtimeMs)) {
        kept += size;
        if (kept > bytes) await rm(path(name), { force: true });
      }
    },
    dropOthers: async (keys, writing) => {
      const parts = new Set(writing.map((id) => id + PART));
      const others = (await names()).filter((name) => !keys.has(name) && !parts.has(name));
      await Promise.all(others.map((name) => rm(path(name), { force: true })));
    },
  };
}
