import { toDecimal } from '../../exact/rational.ts';
import { formatTable } from '../../formats/table.ts';
import type { PlaidDesign } from '../design-schema.ts';
import { warpingOrder, yarnNeeds } from '../yarn.ts';

/** The yarn of a piece as a table. */
export function yarnToCsv(design: PlaidDesign): string {
  const rows = yarnNeeds(design).map(({ direction, shade, threads, metres, grams }) => [
    direction,
    shade.name,
    shade.hex,
    String(threads),
    toDecimal(metres, 2),
    toDecimal(grams, 2),
    design.yarn[direction].count,
    design.yarn[direction].system,
  ]);
  return formatTable([
    ['direction', 'shade', 'colour', 'threads', 'metres', 'grams', 'count', 'system'],
    ...rows,
  ]);
}

/** The winding order of the warp as a table. */
export function warpingToCsv(design: PlaidDesign): string {
  let from = 1;
  const rows = warpingOrder(design).map(({ shade, count }) => {
    const row = [String(from), String(count), shade.name, shade.hex];
    from += count;
    return row;
  });
  return formatTable([['from', 'ends', 'shade', 'colour'], ...rows]);
}
