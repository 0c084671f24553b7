import { freeName } from '../../colour/free-name.ts';
import { nameOf } from '../../colour/name-of.ts';
import { freeKey, MAX_SHADES, type Shade } from '../../colour/shade.ts';
import { CoreError } from '../../error.ts';
import { UPRIGHT } from '../../exact/slope.ts';
import { type BandRow, parseBandCsv, type WidthRow } from '../../formats/band-csv.ts';
import { readColour } from '../../formats/shade-list.ts';
import { checkSequence, type Mirror, type Sequence } from '../../thread/sequence.ts';
import type { Design } from '../design-schema.ts';
import { newPlaid, newStripe } from '../new-design.ts';
import { parseBandUnit } from './stripe-text.ts';

/**
 * A new design from a table: a plaid from counts, a stripe from widths. A table without weft rows makes a weft that
 * follows the warp.
 *
 * @throws CoreError of `parseBandCsv`, or "csv/colour" {line, text} | "csv/no-warp"
 */
export function designFromCsv(text: string, name: string): Design {
  const table = parseBandCsv(text);
  return table.kind === 'counts' ? plaidFromRows(table.rows, name) : stripeFromRows(table.rows, name);
}

function plaidFromRows(rows: readonly BandRow[], name: string): Design {
  const { shades, shadeOf } = shadesOf(rows);
  const sequence = (direction: BandRow['direction']): Sequence | undefined => {
    const own = rows.filter((row) => row.direction === direction);
    if (own.length === 0) return undefined;
    const bands = own.map((row) => ({ shade: shadeOf(row), count: row.count }));
    const read = { bands, mirror: mirrorOf(own) };
    checkSequence(read);
    return read;
  };
  const warp = sequence('warp');
  if (warp === undefined) throw new CoreError('csv/no-warp', { line: 1 });
  return newPlaid({ name, shades, warp, weft: sequence('weft') });
}

/** A width in another unit than the first row's carries it: "3in". */
function stripeFromRows(rows: readonly WidthRow[], name: string): Design {
  const { shades, shadeOf } = shadesOf(rows);
  const unit = parseBandUnit(rows[0]!.unit || 'mm');
  const bands = rows.map((row) => {
    const own = row.unit === '' ? unit : parseBandUnit(row.unit);
    return { shade: shadeOf(row), width: own === unit ? row.width : `${row.width}${own}` };
  });
  return newStripe({ name, shades, bands, mirror: mirrorOf(rows), unit, slope: UPRIGHT });
}

function mirrorOf(rows: readonly Pick<BandRow, 'pivot'>[]): Mirror {
  const first = rows[0]!.pivot;
  const last = rows.at(-1)!.pivot;
  return first !== '' && last !== '' ? first : 'none';
}

type ColouredRow = Pick<BandRow, 'shade' | 'colour' | 'line'>;

/**
 * One shade for each different name and colour in the table, keyed by the name's first letter where that is free. A row
 * without a colour has that of the last row of its name.
 */
function shadesOf(rows: readonly ColouredRow[]) {
  const shades = new Map<string, Shade>();
  const lastHex = new Map<string, string>();
  const hexes = rows.map((row) => {
    const known = row.colour === '' ? lastHex.get(row.shade) : undefined;
    const hex = known ?? colourOf(row.colour || row.shade, row.line);
    lastHex.set(row.shade, hex);
    return hex;
  });
  const nameFor = ({ shade }: ColouredRow, hex: string) => `${hex} ${shade}`;
  rows.forEach((row, index) => {
    const hex = hexes[index]!;
    const own = nameFor(row, hex);
    if (shades.has(own)) return;
    const all = [...shades.values()];
    const wished = row.shade.startsWith('#') ? nameOf(hex) : row.shade.slice(0, 110);
    const name = freeName(wished, (taken) => all.some((shade) => shade.name === taken));
    const letter = row.shade.charAt(0).toUpperCase();
    const taken = new Set(all.map(({ key }) => key));
    const key = /[A-Z]/.test(letter) && !taken.has(letter) ? letter : freeKey(taken);
    shades.set(own, { key, name, hex });
  });
  if (shades.size > MAX_SHADES) {
    throw new CoreError('shades/too-many', { shades: shades.size, most: MAX_SHADES });
  }
  const keyAt = new Map(rows.map((row, index) => [row, shades.get(nameFor(row, hexes[index]!))!.key]));
  return { shades: [...shades.values()], shadeOf: (row: ColouredRow) => keyAt.get(row)! };
}

function colourOf(text: string, line: number): string {
  try {
    return readColour(text);
  } catch {
    throw new CoreError('csv/colour', { line, text: text.slice(0, 80) });
  }
}
