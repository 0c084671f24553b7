import { createWriteStream } from 'node:fs';
import { rm } from 'node:fs/promises';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { CoreError } from '../core/error.ts';

/** Writes a file piece by piece; one that cannot be written whole is taken away. @throws CoreError "file/unwritable" {name} */
export async function writeStream(
  path: string,
  bytes: AsyncIterable<Uint8Array | string> | Iterable<string>,
): Promise<void> {
  try {
    await pipeline(Readable.from(bytes), createWriteStream(path));
  } catch (error) {
    if (error instanceof CoreError) throw error;
    await rm(path, { force: true }).catch(() => {});
    throw new CoreError('file/unwritable', { name: path });
  }
}
