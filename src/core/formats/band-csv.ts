import { CoreError } from '../error.ts';
import { MAX_COUNT } from '../thread/band.ts';
import { formatTable, parseTable } from './table.ts';

/** Longest CSV text that is read, in characters. */
export const MAX_CSV = 1_000_000;

/** What every table of bands has of a band. */
interface BandCells {
  /** A name or "#rrggbb", as written. */
  readonly shade: string;
  /** "#rrggbb" or a colour name for `shade`; empty when the table has none. */
  readonly colour: string;
  /** The convention, on the pivots of a mirrored sequence; else empty. */
  readonly pivot: '' | 'shared' | 'doubled';
  /** Line of the file, from 1. */
  readonly line: number;
}

/** One row of a thread-count table. */
export interface BandRow extends BandCells {
  readonly direction: 'warp' | 'weft';
  readonly count: number;
}

/** One row of a table of widths. */
export interface WidthRow extends BandCells {
  readonly width: string;
  /** Empty where the table has none. */
  readonly unit: string;
}

/** A table of bands by counts, or by widths. */
export type BandTable =
  | { readonly kind: 'counts'; readonly rows: readonly BandRow[] }
  | { readonly kind: 'widths'; readonly rows: readonly WidthRow[] };

const COUNT_COLUMNS = ['direction', 'shade', 'colour', 'count', 'pivot'] as const;
const WIDTH_COLUMNS = ['shade', 'colour', 'width', 'unit', 'pivot'] as const;

/**
 * Reads a table of bands: columns `shade` and `count` or `width`, and if wished `colour`, `direction`, `unit` and
 * `pivot`, in any order, parted by commas or semicolons. A byte order mark, CRLF and empty lines are no hindrance; other
 * columns are passed over. Source of the form: RFC 4180.
 *
 * @throws CoreError "csv/too-long" | "csv/columns" {found} | "csv/empty" | "csv/count" | "csv/shade" |
 *         "csv/direction" | "csv/pivot" | "csv/width", each with {line}
 */
export function parseBandCsv(text: string): BandTable {
  if (text.length > MAX_CSV) throw new CoreError('csv/too-long', { length: text.length, most: MAX_CSV });
  const [head = [], ...rows] = parseTable(text);
  const names = head.map((name) => name.toLowerCase());
  const kind = names.includes('count') ? 'counts' : 'widths';
  if (!names.includes('shade') || !(kind === 'counts' || names.includes('width'))) {
    throw new CoreError('csv/columns', { found: names.filter((name) => name !== '').slice(0, 12), line: 1 });
  }
  const cells = rows.flatMap((row, index) => {
    const cell = (column: string) => row[names.indexOf(column)] ?? '';
    return row.every((value) => value === '') ? [] : [{ cell, line: index + 2 }];
  });
  if (cells.length === 0) throw new CoreError('csv/empty', { line: 1 });
  return kind === 'counts'
    ? { kind, rows: cells.map(readCountRow) }
    : { kind, rows: cells.map(readWidthRow) };
}

/** Writes a table of counts that `parseBandCsv` reads back. */
export function formatBandCsv(rows: readonly Omit<BandRow, 'line'>[]): string {
  return formatTable([
    COUNT_COLUMNS,
    ...rows.map((row) => COUNT_COLUMNS.map((column) => String(row[column]))),
  ]);
}

/** Writes a table of widths that `parseBandCsv` reads back. */
export function formatWidthCsv(rows: readonly Omit<WidthRow, 'line'>[]): string {
  return formatTable([WIDTH_COLUMNS, ...rows.map((row) => WIDTH_COLUMNS.map((column) => row[column]))]);
}

/** A row of the file, by the names of its columns. */
interface Line {
  readonly cell: (column: string) => string;
  readonly line: number;
}

function readBand({ cell, line }: Line): BandCells {
  const shade = cell('shade');
  if (shade === '') throw new CoreError('csv/shade', { line });
  const pivot = cell('pivot').toLowerCase();
  if (pivot !== '' && pivot !== 'shared' && pivot !== 'doubled') {
    throw new CoreError('csv/pivot', { line, pivot });
  }
  return { shade, colour: cell('colour'), pivot, line };
}

function readCountRow(row: Line): BandRow {
  const { cell, line } = row;
  const band = readBand(row);
  const written = cell('count');
  const count = /^\d{1,10}$/.test(written) ? Number(written) : Number.NaN;
  if (!(count >= 1 && count <= MAX_COUNT)) {
    throw new CoreError('csv/count', { line, count: written.slice(0, 40), most: MAX_COUNT });
  }
  const direction = cell('direction').toLowerCase() || 'warp';
  if (direction !== 'warp' && direction !== 'weft') throw new CoreError('csv/direction', { line, direction });
  return { ...band, direction, count };
}

function readWidthRow(row: Line): WidthRow {
  const width = row.cell('width');
  if (width === '') throw new CoreError('csv/width', { line: row.line });
  return { ...readBand(row), width, unit: row.cell('unit').toLowerCase() };
}
