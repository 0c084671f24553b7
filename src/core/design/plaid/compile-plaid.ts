import type { Shade } from '../../colour/shade.ts';
import type { Cells } from '../../thread/cells.ts';
import { cross } from '../../thread/cross.ts';
import { type Print, parseStrength, printOver } from '../../thread/print.ts';
import { type Sequence, threadsOf } from '../../thread/sequence.ts';
import { turnThreads } from '../../thread/turn.ts';
import { leastWeave } from '../../thread/weaves/least-repeat.ts';
import type { Plaid, PrintChoice } from './plaid-schema.ts';

/** The sequence that the weft's bands are typed in: the warp's when it follows the warp, else its own. */
export function weftOf({ warp, weft }: Plaid): Sequence {
  return weft.follows || weft.own === null ? warp : weft.own;
}

/** Threads by which the weft begins later than its sequence. */
export function turnOf({ weft }: Plaid): number {
  return weft.follows ? weft.turn : 0;
}

/** One shade index a thread, as they are crossed. */
export function threadsOfPlaid(
  plaid: Plaid,
  shades: readonly Shade[],
): { readonly warp: Uint16Array; readonly weft: Uint16Array } {
  const keys = shades.map((shade) => shade.key);
  const warp = threadsOf(plaid.warp, keys);
  const sequence = weftOf(plaid);
  const weft = sequence === plaid.warp ? warp : threadsOf(sequence, keys);
  return { warp, weft: turnThreads(weft, turnOf(plaid)) };
}

/** @throws CoreError of `threadsOf`, `leastWeave`, `cross` and `printOver` */
export function compilePlaid(plaid: Plaid, shades: readonly Shade[]): Cells {
  const threads = threadsOfPlaid(plaid, shades);
  switch (plaid.crossing) {
    case 'woven':
      return cross({ shades, ...threads, interlacing: leastWeave(plaid.weave) });
    case 'printed':
      return printOver({ shades, ...threads, print: printOf(plaid.print) });
    default:
      return plaid.crossing satisfies never;
  }
}

function printOf({ blend, strength, top }: PrintChoice): Print {
  return { blend, strength: parseStrength(strength), top };
}
