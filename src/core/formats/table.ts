import { dsvFormat } from 'd3-dsv';

/** What a spreadsheet takes for the beginning of a formula. Source: OWASP, "CSV Injection". */
const FORMULA = /^[=+\-@\t\r]/;

/** Numbers and sums of roots: they may begin with a sign and compute nothing but themselves. */
const NUMBER = /^[-+]?[\d√/.+\-() e]*$/;

/**
 * A table as CSV, lines ended by CRLF. Text that a spreadsheet would take for a formula is marked with an apostrophe,
 * which `parseTable` takes away again. Source of the form: RFC 4180.
 */
export function formatTable(rows: readonly (readonly string[])[]): string {
  const guarded = rows.map((row) => row.map(guard));
  return `${dsvFormat(',').formatRows(guarded).replaceAll('\n', '\r\n')}\r\n`;
}

/** The rows of a CSV table, parted by commas or semicolons, cells trimmed; a byte order mark is no hindrance. */
export function parseTable(text: string): readonly (readonly string[])[] {
  const plain = text.replace(/^\uFEFF/, '');
  const header = plain.slice(0, plain.search(/[\r\n]|$/));
  return dsvFormat(header.includes(',') ? ',' : ';')
    .parseRows(plain)
    .map((row) => row.map((cell) => unguard(cell.trim())));
}

function guard(cell: string): string {
  return FORMULA.test(cell) && !NUMBER.test(cell) ? `'${cell}` : cell;
}

function unguard(cell: string): string {
  return cell.startsWith("'") && FORMULA.test(cell.slice(1)) ? cell.slice(1) : cell;
}
