import { mkdtemp, readdir, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** What the names of this server's temporary folders begin with; the process follows. */
const PREFIX = 'vetro-made-by-';

/** A new temporary folder, named after this process so that what a kill leaves of it is known. */
export function ownFolder(): Promise<string> {
  return mkdtemp(join(tmpdir(), `${PREFIX}${process.pid}-`));
}

/** Removes the temporary folders of processes that are gone. @returns how many */
export async function clearFoldersOfTheGone(): Promise<number> {
  const names = await readdir(tmpdir()).catch(() => [] as string[]);
  const left = names.filter((name) => {
    const id = new RegExp(`^${PREFIX}(\\d+)-`).exec(name)?.[1];
    return id !== undefined && !isRunning(Number(id));
  });
  await Promise.all(left.map((name) => rm(join(tmpdir(), name), { recursive: true, force: true })));
  return left.length;
}

/** Whether there is a process of that number, somebody else's too. */
export function isRunning(id: number): boolean {
  try {
    process.kill(id, 0);
    return true;
  } catch (error) {
    return (error as NodeJS.ErrnoException).code !== 'ESRCH';
  }
}
