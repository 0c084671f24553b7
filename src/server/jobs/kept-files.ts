import { createHash } from 'node:crypto';
import { createReadStream, existsSync, mkdirSync } from 'node:fs';
import { readdir, rename, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import type { WholeFile } from '../db/job-table.ts';

/** Files that jobs have made, each by its key, in a folder. */
export interface KeptFiles {
  readonly has: (key: string) => boolean;
  /** Where a job writes its file before it is whole. */
  readonly partOf: (id: string) => string;
  /** Keeps what a job has written as the file of a key. @returns what it is as a whole */
  readonly keep: (id: string, key: string) => Promise<WholeFile>;
  /** Whether the file of a key is still what was made. */
  readonly isWhole: (key: string, whole: WholeFile) => Promise<boolean>;
  readonly remove: (key: string) => Promise<void>;
  /** Removes what a job has written. */
  readonly drop: (id: string) => Promise<void>;
  readonly read: (key: string) => ReadableStream<Uint8Array>;
  /** Removes the oldest files until no more than so many bytes are kept. */
  readonly dropBeyond: (bytes: number) => Promise<void>;
  /** Removes every file but those of these keys and those that these jobs are writing. */
  readonly dropOthers: (keys: ReadonlySet<string>, writing: readonly string[]) => Promise<void>;
}

/** Of a file that is being written, by this process. */
const PART = `.${process.pid}.part`;
const ANY_PART = '.part';

export function keptFiles(folder: string): KeptFiles {
  const path = (key: string) => join(folder, key);
  const names = () => readdir(folder).catch(() => [] as string[]);
  /** Files whose bytes were compared, by what a change of them would change. */
  const compared = new Map<string, string>();
  const stateOf = async (key: string) => {
    const { size, mtimeMs, ino } = await stat(path(key));
    return `${size} ${mtimeMs} ${ino}`;
  };
  return {
    has: (key) => existsSync(path(key)),
    partOf: (id) => {
      mkdirSync(folder, { recursive: true });
      return path(id) + PART;
    },
    keep: async (id, key) => {
      const part = path(id) + PART;
      const digest = await digestOf(part);
      const { size } = await stat(part);
      await rename(part, path(key));
      compared.set(key, await stateOf(key));
      return { bytes: size, digest };
    },
    isWhole: async (key, { bytes, digest }) => {
      const found = await stat(path(key)).catch(() => undefined);
      if (found === undefined || found.size !== bytes || bytes === 0) return false;
      const state = await stateOf(key);
      if (digest === '' || compared.get(key) === state) return true;
      if ((await digestOf(path(key))) !== digest) return false;
      compared.set(key, state);
      return true;
    },
    remove: (key) => rm(path(key), { force: true }),
    drop: (id) => rm(path(id) + PART, { force: true }),
    read: (key) => Readable.toWeb(createReadStream(path(key))) as ReadableStream<Uint8Array>,
    dropBeyond: async (bytes) => {
      const whole = (await names()).filter((name) => !name.endsWith(ANY_PART));
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

/** SHA-256 of a file, in hexadecimal. */
async function digestOf(path: string): Promise<string> {
  const hash = createHash('sha256');
  for await (const piece of createReadStream(path)) hash.update(piece as Buffer);
  return hash.digest('hex');
}
