import { createWriteStream } from 'node:fs';
import { rm } from 'node:fs/promises';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { CoreError } from '../../core/error.ts';

/**
 * Writes a file piece by piece; one that cannot be written whole is taken away.
 * @param name  what the file is called in words; its path when left out
 * @throws CoreError "file/unwritable" | "file/full" {name}, or of the pieces
 */
export async function writeStream(
  path: string,
  bytes: AsyncIterable<Uint8Array | string> | Iterable<string>,
  name = path,
): Promise<void> {
  const file = createWriteStream(path);
  try {
    await pipeline(Readable.from(bytes), file);
  } catch (error) {
    // What could not be opened was not begun.
    if (file.bytesWritten > 0 || !file.pending) await rm(path, { force: true }).catch(() => {});
    throw error instanceof CoreError ? error : (unwritten(error, name) ?? error);
  }
}

/** What a file system says, as an error with a sentence; undefined where it is another's. */
function unwritten(error: unknown, name: string): CoreError | undefined {
  const { code, syscall } = error as { code?: unknown; syscall?: unknown };
  if (code === 'ENOSPC' || code === 'EDQUOT') return new CoreError('file/full', { name });
  return typeof syscall === 'string' ? new CoreError('file/unwritable', { name }) : undefined;
}
