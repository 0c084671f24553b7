import type { Shade } from '../../colour/shade.ts';
import { CoreError } from '../../error.ts';
import { commonMultiple } from '../../exact/common-multiple.ts';
import { toText } from '../../exact/rational.ts';
import type { ThreadGrid } from '../../repeat/repeat-unit.ts';
import type { Band } from '../../thread/band.ts';
import type { Cells } from '../../thread/cells.ts';
import { cross } from '../../thread/cross.ts';
import { type Ink, type Print, parseStrength, printOver } from '../../thread/print.ts';
import { type Sequence, threadCount, threadsBy, threadsOf } from '../../thread/sequence.ts';
import { turnThreads } from '../../thread/turn.ts';
import { leastWeave } from '../../thread/weaves/least-repeat.ts';
import type { Plaid, PrintChoice } from './plaid-schema.ts';

/** The sequence that the weft's bands are typed in: the warp's when it follows the warp, else its own. */
export function weftOf({ warp, weft }: Plaid): Sequence {
  return weft.follows || weft.own === null ? warp : weft.own;
}

/**
 * The threads of a plaid as they are laid out, with whole repeats of its weave; undefined where its cells hold as many.
 * @param cells  compiled from it
 */
export function laidOutThreads(plaid: Plaid, cells: Cells): ThreadGrid['laidOut'] {
  const weave = plaid.crossing === 'woven' ? leastWeave(plaid.weave) : { ends: 1, picks: 1 };
  const ends = commonMultiple(threadCount(plaid.warp), weave.ends);
  const picks = commonMultiple(threadCount(weftOf(plaid)), weave.picks);
  return ends === cells.width && picks === cells.height ? undefined : { ends, picks };
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
  switch (plaid.crossing) {
    case 'woven':
      return cross({ shades, ...threadsOfPlaid(plaid, shades), interlacing: leastWeave(plaid.weave) });
    case 'printed':
      return printOver({ ...inksOfPlaid(plaid, shades), print: printOf(plaid.print, shades) });
    default:
      return plaid.crossing satisfies never;
  }
}

/** The inks of a print, and the index of one a thread. @throws CoreError as `threadsOf` */
export function inksOfPlaid(
  plaid: Plaid,
  shades: readonly Shade[],
): { readonly inks: readonly Ink[]; readonly warp: Uint16Array; readonly weft: Uint16Array } {
  const inks: Ink[] = [];
  const known = new Map<string, number>();
  const indexOf = ({ shade: key, strength: typed }: Band) => {
    const strength = typed === undefined ? undefined : parseStrength(typed);
    const name = `${key}@${strength === undefined ? '' : toText(strength)}`;
    const found = known.get(name);
    if (found !== undefined) return found;
    const shade = shades.find((each) => each.key === key);
    if (shade === undefined) throw new CoreError('band/shade', { shade: key });
    known.set(name, inks.length);
    return inks.push({ shade, strength }) - 1;
  };
  const warp = threadsBy(plaid.warp, indexOf);
  const sequence = weftOf(plaid);
  const weft = sequence === plaid.warp ? warp : threadsBy(sequence, indexOf);
  return { inks, warp, weft: turnThreads(weft, turnOf(plaid)) };
}

function printOf({ blend, strength, top, ground }: PrintChoice, shades: readonly Shade[]): Print {
  const under = ground === null ? WHITE : shades.find(({ key }) => key === ground)?.hex;
  if (under === undefined) throw new CoreError('band/shade', { shade: ground! });
  return { blend, strength: parseStrength(strength), top, ground: under };
}

const WHITE = '#ffffff';
