import { multiply, ONE, type Rational, rational, subtract, toDecimal } from '../core/exact/rational.ts';
import type { Vector } from '../core/exact/vector.ts';
import { type Held, holdsWhole, type PictureOrder } from '../core/formats/picture-order.ts';

/** Whether a sheet repeats when it is laid edge to edge, and what whole pixels cost. */
export function sheetSentence(order: PictureOrder): string {
  const { holds, block, tile } = order;
  if (!holdsWhole(order)) {
    return 'This size cuts through a repeat, so the sheet does not repeat when it is laid edge to edge. Sizes that do:';
  }
  const repeats = `${holds.x.whole} × ${holds.y.whole} whole repeats`;
  const closed = `${repeats}: laid edge to edge, the sheet repeats.`;
  const together =
    block.across === 1 && block.down === 1
      ? ''
      : ` One repeat is no whole number of pixels, but ${block.across} × ${block.down} are ${tile.width} × ${tile.height} px.`;
  const missed = [missText(holds.x, 'wide'), missText(holds.y, 'high')].filter((text) => text !== '');
  const rounded =
    missed.length === 0
      ? ''
      : ` Each repeat is rounded to whole pixels, so the sheet is ${missed.join(' and ')}.`;
  return `${closed}${together}${rounded}`;
}

/** "0.43 px too wide"; empty where nothing is missed. */
function missText({ off }: Held, way: 'wide' | 'high'): string {
  if (off.n === 0n) return '';
  const less = off.n < 0n;
  const words = { wide: ['too wide', 'too narrow'], high: ['too high', 'too low'] }[way];
  return `${toDecimal(size(off), 2)} px ${words[less ? 1 : 0]}`;
}

function size({ n, d }: Rational): Rational {
  return { n: n < 0n ? -n : n, d };
}

/** By how much a print is made larger, across and down: "2.04 % wider, 4.17 % higher". */
export function shrinkageText({ x, y }: Vector): string {
  const more = (factor: Rational) => toDecimal(multiply(subtract(factor, ONE), rational(100)), 2);
  return `${more(x)} % wider, ${more(y)} % higher`;
}
