import { CoreError } from '../error.ts';
import type { WifKept } from './wif.ts';

/** One line of a section: its key as written, its value, and where it stands. */
export interface WifLine {
  readonly key: string;
  readonly value: string;
  /** Line of the file, from 1. */
  readonly line: number;
}

export interface WifSection {
  /** As written between the brackets. */
  readonly name: string;
  readonly lines: readonly WifLine[];
}

/** Longest file that is read, in characters. */
export const MAX_WIF = 8_000_000;

/**
 * Takes a weave file apart into its sections: `[NAME]`, then lines of `key=value`. Names and keys mean the same in
 * capitals and small letters; lines that begin with a semicolon are remarks; a byte order mark and CRLF are no
 * hindrance. A section that stands twice goes on.
 * Source: Weaving Information File, version 1.1, 1997, an INI form; from memory.
 *
 * @throws CoreError "wif/too-long" | "wif/binary" | "wif/not-one" | "wif/line" {line, text}
 */
export function wifSections(text: string): ReadonlyMap<string, WifSection> {
  if (text.length > MAX_WIF) throw new CoreError('wif/too-long', { length: text.length, most: MAX_WIF });
  if (text.includes('\0')) throw new CoreError('wif/binary', {});
  const sections = new Map<string, { name: string; lines: WifLine[] }>();
  let current: { name: string; lines: WifLine[] } | undefined;
  text
    .replace(/^\uFEFF/, '')
    .split(/\r\n|\r|\n/)
    .forEach((raw, index) => {
      const line = raw.trim();
      if (line === '' || line.startsWith(';')) return;
      const name = /^\[([^\]]+)\]/.exec(line)?.[1]?.trim();
      if (name !== undefined) {
        current = sections.get(name.toLowerCase()) ?? { name, lines: [] };
        sections.set(name.toLowerCase(), current);
        return;
      }
      const equals = line.indexOf('=');
      if (equals < 1 || current === undefined) {
        throw new CoreError('wif/line', { line: index + 1, text: line.slice(0, 60) });
      }
      const [key, value] = [line.slice(0, equals).trim(), line.slice(equals + 1).trim()];
      current.lines.push({ key, value, line: index + 1 });
    });
  if (!sections.has('wif')) throw new CoreError('wif/not-one', {});
  return sections;
}

/** Writes sections strictly: CRLF, an empty line between them. */
export function formatWif(sections: readonly WifKept[]): string {
  return sections
    .map(({ section, lines }) =>
      [`[${section}]`, ...lines.map(([key, value]) => `${key}=${value}`), ''].join('\r\n'),
    )
    .join('\r\n');
}
