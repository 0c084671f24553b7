import { CoreError } from '../../error.ts';
import type { Design } from '../design-schema.ts';
import { MAX_DOCUMENT, readDesignText } from '../read-design.ts';
import { designFromCsv } from './counts-csv.ts';
import { designFromText } from './counts-text.ts';
import { designFromWif } from './wif-design.ts';

/** Kinds of file that a design is read from and written to. */
export const FILE_KINDS = ['json', 'csv', 'txt', 'wif'] as const;
export type FileKind = (typeof FILE_KINDS)[number];

/** Largest file that is read, in bytes: a design's own may carry pictures. */
const MAX_FILE = 8_000_000;

/** Largest file that is read, by its name, in bytes. */
export function mostBytes(fileName: string): number {
  return /\.json$/i.test(fileName) ? MAX_DOCUMENT : MAX_FILE;
}

/**
 * The kind of a file by its name's ending.
 * @throws CoreError "file/kind" {name}
 */
export function fileKind(fileName: string): FileKind {
  const ending = /\.([a-z]+)$/i.exec(fileName)?.[1]?.toLowerCase();
  const kind = FILE_KINDS.find((each) => each === ending);
  if (kind === undefined) throw new CoreError('file/kind', { name: fileName, kinds: FILE_KINDS });
  return kind;
}

/**
 * Reads a design from the text of a file of any known kind; one without a name takes the file's.
 * @throws CoreError of the reader
 */
export function designFromFile(fileName: string, text: string): Design {
  const kind = fileKind(fileName);
  const name = nameFromFile(fileName);
  switch (kind) {
    case 'json':
      return readDesignText(text);
    case 'csv':
      return designFromCsv(text, name);
    case 'txt':
      return designFromText(text, name);
    case 'wif':
      return designFromWif(text, name);
    default:
      return kind satisfies never;
  }
}

/** "sub/tea-room_check.csv" → "Tea room check". */
function nameFromFile(fileName: string): string {
  const words = fileName
    .replace(/^.*[\\/]/, '')
    .replace(/\.[a-z]+$/i, '')
    .replace(/[-_]+/g, ' ')
    .trim();
  return words === '' ? 'Untitled' : (words.charAt(0).toUpperCase() + words.slice(1)).slice(0, 120);
}
