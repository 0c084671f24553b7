import { CoreError } from '../../error.ts';
import { MAX_WIF_THREADS } from './wif.ts';
import type { WifLine, WifSection } from './wif-sections.ts';

/** A section that must be there. @throws CoreError "wif/missing" {section} */
export function needed(section: WifSection | undefined, name: string): WifSection {
  if (section === undefined) throw new CoreError('wif/missing', { section: name });
  return section;
}

/** The line of a key. */
export function find(section: WifSection | undefined, key: string): WifLine | undefined {
  return section?.lines.find((line) => line.key.toLowerCase() === key);
}

/** A yes or no, in the words that files use. @throws CoreError "wif/value" */
export function flag(section: WifSection | undefined, key: string, usual: boolean): boolean {
  const line = find(section, key);
  if (line === undefined) return usual;
  if (/^(true|on|yes|1)$/i.test(line.value)) return true;
  if (/^(false|off|no|0)$/i.test(line.value)) return false;
  throw wrongValue(section!, line);
}

/** What is said of a value that cannot be read. */
export function wrongValue({ name }: WifSection, { line, value }: WifLine): CoreError {
  return new CoreError('wif/value', { section: name, line, text: value.slice(0, 60) });
}

/** A whole number of a section, or undefined when it is not written. */
export function numberOf(
  section: WifSection | undefined,
  key: string,
  least: number,
  most: number,
): number | undefined {
  const line = find(section, key);
  if (line === undefined) return undefined;
  if (!/^\d{1,9}$/.test(line.value)) throw wrongValue(section!, line);
  const value = Number(line.value);
  const place = { section: section!.name, line: line.line };
  if (value < least) throw new CoreError('wif/too-small', { ...place, value, least });
  if (value > most) throw new CoreError('wif/range', { ...place, value, most });
  return value;
}

/** Most shafts, and most treadles. */
export const MAX_NUMBERED = 1000;

/** Largest value of any line; 0 where there are none. @throws CoreError "wif/range" */
export function highest(section: WifSection | undefined): number {
  let most = 0;
  for (const { value, line } of section?.lines ?? []) {
    for (const each of wholeNumbers(value)) most = Math.max(most, each);
    if (most > MAX_NUMBERED) {
      throw new CoreError('wif/range', { section: section!.name, line, value: most, most: MAX_NUMBERED });
    }
  }
  return most;
}

/** Largest key that is a number. @throws CoreError "wif/range" beyond what a file may hold */
export function lastIndex(section: WifSection | undefined, most: number): number {
  let last = 0;
  for (const { key, line } of section?.lines ?? []) {
    for (const each of wholeNumbers(key)) last = Math.max(last, each);
    if (last > most) {
      throw new CoreError('wif/range', { section: section!.name, line, value: last, most });
    }
  }
  return last;
}

function wholeNumbers(text: string): number[] {
  return [...text.matchAll(/\d{1,9}/g)].map(([digits]) => Number(digits));
}

/** A place that is not written. */
const NONE: readonly number[] = [];

/** For each place from 1 to `count`, its list of numbers 1 … most, 0 standing for none; places that are not written are empty. */
export function lists(section: WifSection, count: number, most: number): (readonly number[])[] {
  if (count > MAX_WIF_THREADS)
    throw new CoreError('wif/range', { section: section.name, line: 0, value: count, most: MAX_WIF_THREADS });
  const all: (readonly number[])[] = new Array(count).fill(NONE);
  const ones: (readonly number[] | undefined)[] = [];
  for (const line of section.lines) {
    const place = wholeOf(line.key, 0, line.key.length);
    if (place < 0) throw wrongValue(section, line);
    if (place < 1 || place > count) throw beyond(section, line, count);
    const value = wholeOf(line.value, 0, line.value.length);
    // Nearly all lines name one shaft, treadle or colour: those of one number share their list.
    if (value > 0 && value <= most) {
      ones[value] ??= [value];
      all[place - 1] = ones[value];
    } else all[place - 1] = listOf(section, line, most);
  }
  return all;
}

/** The numbers of one line, parted by commas, without the zeros. */
function listOf(section: WifSection, line: WifLine, most: number): number[] {
  const text = line.value;
  const values: number[] = [];
  for (let from = 0; from <= text.length; ) {
    const comma = text.indexOf(',', from);
    const to = comma === -1 ? text.length : comma;
    const value = wholeOf(text, from, to);
    if (value < 0 && text.slice(from, to).trim() !== '') throw wrongValue(section, line);
    if (value > most)
      throw new CoreError('wif/range', { section: section.name, line: line.line, value, most });
    if (value > 0) values.push(value);
    from = to + 1;
  }
  return values;
}

/** The whole number in a piece of a text, blanks round it left out; −1 where it is none. A file has thousands. */
function wholeOf(text: string, from: number, to: number): number {
  let first = from;
  let last = to;
  while (first < last && text.charCodeAt(first) <= 32) first += 1;
  while (last > first && text.charCodeAt(last - 1) <= 32) last -= 1;
  if (first === last || last - first > 9) return -1;
  let value = 0;
  for (let at = first; at < last; at += 1) {
    const digit = text.charCodeAt(at) - 48;
    if (digit < 0 || digit > 9) return -1;
    value = value * 10 + digit;
  }
  return value;
}

/** What is said of a number beyond what the file itself says that there is. */
export function beyond({ name }: WifSection, { key, line }: WifLine, other: number): CoreError {
  return new CoreError('wif/contradiction', { section: name, line, value: Number(key), other });
}
