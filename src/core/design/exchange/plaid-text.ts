import { formatCountsText } from '../../formats/counts-text.ts';
import { formatShadeList } from '../../formats/shade-list.ts';
import { formatThreadCount } from '../../formats/thread-count.ts';
import { formatWeave } from '../../thread/weaves/weave-text.ts';
import type { PlaidDesign } from '../design-schema.ts';
import { turnOf, weftOf } from '../plaid/compile-plaid.ts';
import type { PrintChoice } from '../plaid/plaid-schema.ts';

/** The thread counts of a plaid as text that `designFromText` reads back. */
export function plaidToText({ name, construction, shades, lay }: PlaidDesign): string {
  const weft = weftOf(construction);
  const turns = [construction.warp.mirror, weft.mirror].map((mirror) =>
    mirror === 'none' ? 'shared' : mirror,
  );
  return formatCountsText({
    name,
    shades: formatShadeList(shades),
    warp: formatThreadCount(construction.warp),
    weft: construction.weft.follows ? undefined : formatThreadCount(weft),
    pivots: turns[0] === turns[1] ? turns[0] : turns.join(' '),
    turn: turnOf(construction) === 0 ? undefined : String(turnOf(construction)),
    weave: formatWeave(construction.weave),
    print: construction.crossing === 'printed' ? formatPrint(construction.print) : undefined,
    density: `${lay.ends} x ${lay.picks} / ${lay.per}`,
  });
}

function formatPrint({ blend, strength, top, ground }: PrintChoice): string {
  return `${blend} ${strength.replace(/\s+/g, '')} ${top}${ground === null ? '' : ` on ${ground}`}`;
}
