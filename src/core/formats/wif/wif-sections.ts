import { CoreError } from '../../error.ts';
import type { WifLines } from './wif.ts';

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
  // Line by line with its ends found, not split off: a file has tens of thousands.
  let number = 0;
  for (let from = text.startsWith('\uFEFF') ? 1 : 0; from <= text.length; ) {
    const to = lineEnd(text, from);
    number += 1;
    const line = text.slice(from, to).trim();
    from = to + (text[to] === '\r' && text[to + 1] === '\n' ? 2 : 1);
    if (line === '' || line.startsWith(';')) continue;
    const name = line.startsWith('[') ? /^\[([^\]]+)\]/.exec(line)?.[1]?.trim() : undefined;
    if (name !== undefined) {
      current = sections.get(name.toLowerCase()) ?? { name, lines: [] };
      sections.set(name.toLowerCase(), current);
      continue;
    }
    const equals = line.indexOf('=');
    if (equals < 1 || current === undefined) {
      throw new CoreError('wif/line', { line: number, text: line.slice(0, 60) });
    }
    const key = line.slice(0, equals).trim();
    const value = line.slice(equals + 1).trim();
    current.lines.push({ key, value, line: number });
  }
  if (!sections.has('wif')) throw new CoreError('wif/not-one', {});
  return sections;
}

/** Where a line ends that begins at `from`: at a carriage return or a line feed. */
function lineEnd(text: string, from: number): number {
  let at = from;
  while (at < text.length && text.charCodeAt(at) !== 10 && text.charCodeAt(at) !== 13) at += 1;
  return at;
}

/** A section as it is written: its lines with their ends. */
export interface WrittenSection {
  readonly section: string;
  readonly body: string;
}

/** Lines of a section, each with its end. */
export function linesText(lines: WifLines): string {
  return lines.map(([key, value]) => `${key}=${value}\r\n`).join('');
}

/** Writes sections strictly: CRLF, an empty line between them. */
export function formatWif(sections: readonly WrittenSection[]): string {
  return sections.map(({ section, body }) => `[${section}]\r\n${body}`).join('\r\n');
}
