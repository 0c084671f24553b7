import { dsvFormat } from 'd3-dsv';
import { CoreError } from '../error.ts';
import { MAX_COUNT } from '../thread/band.ts';

/** Longest CSV text that is read, in characters. */
export const MAX_CSV = 1_000_000;

/** One row of a thread-count table. */
export interface BandRow {
  readonly direction: 'warp' | 'weft';
  /** A name or "#rrggbb", as written. */
  readonly shade: string;
  /** "#rrggbb" or a colour name for `shade`; empty when the table has none. */
  readonly colour: string;
  readonly count: number;
  /** The convention, on the pivots of a mirrored sett; else empty. */
  readonly pivot: '' | 'shared' | 'doubled';
  /** Line of the file, from 1. */
  readonly line: number;
}

const COLUMNS = ['direction', 'shade', 'colour', 'count', 'pivot'] as const;

/**
 * Reads a thread-count table: columns `shade` and `count`, and if wished `colour`, `direction` and `pivot`, in any
 * order, parted by commas or semicolons. A byte order mark, CRLF and empty lines are no hindrance; other columns
 * are passed over. Source of the form: RFC 4180.
 *
 * @throws CoreError "csv/too-long" | "csv/columns" {found} | "csv/empty" | "csv/count" | "csv/shade" |
 *         "csv/direction" | "csv/pivot", each with {line}
 */
export function parseBandCsv(text: string): readonly BandRow[] {
  if (text.length > MAX_CSV) throw new CoreError('csv/too-long', { length: text.length, most: MAX_CSV });
  const plain = text.replace(/^\uFEFF/, '');
  const header = plain.slice(0, plain.search(/[\r\n]|$/));
  const rows = dsvFormat(header.includes(',') ? ',' : ';').parseRows(plain);
  const names = (rows[0] ?? []).map((name) => name.trim().toLowerCase());
  const places = Object.fromEntries(COLUMNS.map((column) => [column, names.indexOf(column)]));
  if (places['shade']! < 0 || places['count']! < 0) {
    throw new CoreError('csv/columns', { found: names.filter((name) => name !== '').slice(0, 12), line: 1 });
  }
  const read = rows.slice(1).flatMap((row, index) => {
    const cell = (column: string) => row[places[column]!]?.trim() ?? '';
    return row.every((value) => value.trim() === '') ? [] : [readRow(cell, index + 2)];
  });
  if (read.length === 0) throw new CoreError('csv/empty', { line: 1 });
  return read;
}

/** Writes a table that `parseBandCsv` reads back, with CRLF as RFC 4180 wants it. */
export function formatBandCsv(rows: readonly Omit<BandRow, 'line'>[]): string {
  const table = rows.map((row) => COLUMNS.map((column) => String(row[column])));
  return `${dsvFormat(',')
    .formatRows([[...COLUMNS], ...table])
    .replaceAll('\n', '\r\n')}\r\n`;
}

function readRow(cell: (column: string) => string, line: number): BandRow {
  const shade = cell('shade');
  if (shade === '') throw new CoreError('csv/shade', { line });
  const written = cell('count');
  const count = /^\d{1,10}$/.test(written) ? Number(written) : Number.NaN;
  if (!(count >= 1 && count <= MAX_COUNT)) {
    throw new CoreError('csv/count', { line, count: written.slice(0, 40), most: MAX_COUNT });
  }
  const direction = cell('direction').toLowerCase() || 'warp';
  if (direction !== 'warp' && direction !== 'weft') throw new CoreError('csv/direction', { line, direction });
  const pivot = cell('pivot').toLowerCase();
  if (pivot !== '' && pivot !== 'shared' && pivot !== 'doubled') {
    throw new CoreError('csv/pivot', { line, pivot });
  }
  return { direction, shade, colour: cell('colour'), count, pivot, line };
}
