import { CoreError } from '../error.ts';
import { MAX_THREAD_COUNT_TEXT } from './thread-count.ts';

/** Fields of a thread-count text, as written; `at` is where the value begins. */
export interface CountsField {
  readonly value: string;
  readonly at: number;
}

export const COUNTS_FIELDS = [
  'name',
  'shades',
  'warp',
  'weft',
  'turn',
  'pivots',
  'weave',
  'print',
  'density',
  'stripe',
  'unit',
  'slope',
  'angle',
  'measured',
  'clear',
] as const;
export type CountsName = (typeof COUNTS_FIELDS)[number];
export type CountsFields = Readonly<Partial<Record<CountsName, CountsField>>>;

/**
 * Takes a thread-count text apart: lines of `field: value`, or one bare line that is the warp. Lines that begin
 * with # are remarks, unless the # begins a shade.
 *
 * @throws CoreError "notation/too-long" | "counts/line" {line, text} | "counts/twice" {line, field} | "counts/no-warp"
 */
export function parseCountsText(text: string): CountsFields {
  if (text.length > MAX_THREAD_COUNT_TEXT) {
    throw new CoreError('notation/too-long', { length: text.length, most: MAX_THREAD_COUNT_TEXT });
  }
  const fields: Partial<Record<CountsName, CountsField>> = {};
  let at = 0;
  text.split('\n').forEach((raw, index) => {
    const line = raw.replace(/^\uFEFF/, '').trimEnd();
    const start = at + (raw.length - raw.replace(/^\uFEFF/, '').length);
    at += raw.length + 1;
    if (line.trim() === '' || /^\s*#(\s|$)/.test(line)) return;
    const { field, value, offset } = takeField(line, index + 1);
    if (fields[field] !== undefined) throw new CoreError('counts/twice', { line: index + 1, field });
    fields[field] = { value, at: start + offset };
  });
  if (fields.warp === undefined && fields.stripe === undefined) throw new CoreError('counts/no-warp', {});
  return fields;
}

/** Writes fields in their usual order, one a line. */
export function formatCountsText(values: { readonly [field in CountsName]?: string | undefined }): string {
  return COUNTS_FIELDS.filter((field) => values[field] !== undefined)
    .map((field) => `${field}: ${values[field]}\n`)
    .join('');
}

function takeField(line: string, number: number): { field: CountsName; value: string; offset: number } {
  const match = /^\s*([A-Za-z]+)\s*:\s*/.exec(line);
  if (match === null) return { field: 'warp', value: line, offset: 0 };
  const field = COUNTS_FIELDS.find((name) => name === match[1]!.toLowerCase());
  if (field === undefined) throw new CoreError('counts/line', { line: number, text: match[1]! });
  return { field, value: line.slice(match[0].length), offset: match[0].length };
}
