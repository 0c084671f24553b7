import { readFileSync, statSync } from 'node:fs';
import type { Design } from '../core/design/design-schema.ts';
import { designFromFile, mostBytes } from '../core/design/exchange/read-file.ts';
import { CoreError } from '../core/error.ts';
import { decodeText } from '../kit/decode-text.ts';

/** @throws CoreError "file/missing" | "file/too-large", or of the reader */
export function readDesignFile(path: string): Design {
  return designFromFile(path, readText(path));
}

export function readText(path: string): string {
  let size: number;
  try {
    size = statSync(path).size;
  } catch {
    throw new CoreError('file/missing', { name: path });
  }
  const most = mostBytes(path);
  if (size > most) throw new CoreError('file/too-large', { size, most });
  return decodeText(readFileSync(path));
}
