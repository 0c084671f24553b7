import { nameOf } from '../../colour/name-of.ts';
import { freeKey, MAX_SHADES, type Shade } from '../../colour/shade.ts';
import { CoreError } from '../../error.ts';
import { type BandRow, formatBandCsv, parseBandCsv } from '../../formats/band-csv.ts';
import { readColour } from '../../formats/shade-list.ts';
import { checkSequence, type Sequence } from '../../thread/sequence.ts';
import { turnSequence } from '../../thread/turn.ts';
import { asPlaid, type Design, isStripe, isTiling } from '../design-schema.ts';
import { newPlaid } from '../new-design.ts';
import { turnOf, weftOf } from '../plaid/compile-plaid.ts';
import { stripeToCsv } from './stripe-csv.ts';

/**
 * A new design from a thread-count table. A table without weft rows makes a weft that follows the warp.
 * @throws CoreError of `parseBandCsv`, or "csv/colour" {line, text} | "csv/no-warp"
 */
export function designFromCsv(text: string, name: string): Design {
  const rows = parseBandCsv(text);
  const shades = shadesOf(rows);
  const sequence = (direction: BandRow['direction']): Sequence | undefined => {
    const own = rows.filter((row) => row.direction === direction);
    if (own.length === 0) return undefined;
    const mirror = own[0]!.pivot !== '' && own.at(-1)!.pivot !== '' ? own[0]!.pivot : 'none';
    const bands = own.map((row) => ({ shade: shades.get(row.shade)!.key, count: row.count }));
    checkSequence({ bands, mirror });
    return { bands, mirror };
  };
  const warp = sequence('warp');
  if (warp === undefined) throw new CoreError('csv/no-warp', { line: 1 });
  return newPlaid({ name, shades: [...shades.values()], warp, weft: sequence('weft') });
}

/** The thread counts of a design as a table. */
export function designToCsv(design: Design): string {
  if (isStripe(design)) return stripeToCsv(design);
  if (isTiling(design)) throw new CoreError('tiling/no-counts');
  const { construction, shades } = asPlaid(design);
  const rows = (direction: BandRow['direction'], { bands, mirror }: Sequence) =>
    bands.map(({ shade, count }, index): Omit<BandRow, 'line'> => {
      const { name, hex } = shades.find(({ key }) => key === shade)!;
      const pivot = mirror !== 'none' && (index === 0 || index === bands.length - 1) ? mirror : '';
      return { direction, shade: name, colour: hex, count, pivot };
    });
  const turn = turnOf(construction);
  const weft =
    construction.weft.follows && turn === 0 ? [] : rows('weft', turnSequence(weftOf(construction), turn));
  return formatBandCsv([...rows('warp', construction.warp), ...weft]);
}

/** One shade for each different name in the table, keyed by the name's first letter where that is free. */
function shadesOf(rows: readonly BandRow[]): ReadonlyMap<string, Shade> {
  const shades = new Map<string, Shade>();
  const taken = new Set<string>();
  for (const { shade, colour, line } of rows) {
    if (shades.has(shade)) continue;
    const hex = colourOf(colour || shade, line);
    const letter = shade.charAt(0).toUpperCase();
    const key = /[A-Z]/.test(letter) && !taken.has(letter) ? letter : freeKey(taken);
    taken.add(key);
    shades.set(shade, { key, name: shade.startsWith('#') ? nameOf(hex) : shade.slice(0, 120), hex });
  }
  if (shades.size > MAX_SHADES) {
    throw new CoreError('shades/too-many', { shades: shades.size, most: MAX_SHADES });
  }
  return shades;
}

function colourOf(text: string, line: number): string {
  try {
    return readColour(text);
  } catch {
    throw new CoreError('csv/colour', { line, text: text.slice(0, 80) });
  }
}
