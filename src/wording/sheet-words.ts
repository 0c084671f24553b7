import {
  multiply,
  ONE,
  type Rational,
  rational,
  subtract,
  toDecimal,
  toNumber,
} from '../core/exact/rational.ts';
import type { Vector } from '../core/exact/vector.ts';
import { holdsWhole, type PictureOrder } from '../core/formats/picture-order.ts';
import type { Held } from '../core/formats/side-fit.ts';

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

/** Pixels of drift from which it is told: a half is no more than rounding. */
const TOLD = 0.5;

/**
 * How many repeats lie on a picture where that is not how many truly do, since each is rounded to whole pixels, and how far
 * the last is off; empty where none is off by more than half a pixel.
 */
export function driftSentence({ holds, perMillimetre }: PictureOrder): string {
  const along = (held: Held, density: number, way: string) => {
    const pixels = Math.abs(toNumber(held.off));
    if (pixels <= TOLD) return '';
    const truly = held.below + held.part;
    const off = `${Number(pixels.toFixed(1))} px (${Number((pixels / density).toPrecision(3))} mm)`;
    const shown = Number(held.painted.toFixed(1));
    const told = Number(truly.toFixed(1));
    const counts =
      held.whole === undefined && shown !== told
        ? `${shown} ${way} where ${told} are true`
        : `${told} ${way}`;
    return `${counts}, off by ${off} at the end`;
  };
  const parts = [along(holds.x, perMillimetre.x, 'across'), along(holds.y, perMillimetre.y, 'down')];
  const told = parts.filter((text) => text !== '');
  if (told.length === 0) return '';
  return `Each repeat is rounded to whole pixels: ${told.join('; ')}.`;
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
