import { type BandRow, formatBandCsv } from '../../formats/band-csv.ts';
import type { Sequence } from '../../thread/sequence.ts';
import { turnSequence } from '../../thread/turn.ts';
import type { PlaidDesign } from '../design-schema.ts';
import { turnOf, weftOf } from '../plaid/compile-plaid.ts';

/** The thread counts of a plaid as a table. */
export function plaidToCsv({ construction, shades }: PlaidDesign): string {
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
