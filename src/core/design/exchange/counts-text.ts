import { BLENDS } from '../../colour/blend.ts';
import { CoreError } from '../../error.ts';
import { formatCountsText, parseCountsText } from '../../formats/counts-text.ts';
import { formatShadeList, parseShadeList } from '../../formats/shade-list.ts';
import { formatThreadCount, parseThreadCount } from '../../formats/thread-count.ts';
import { MAX_COUNT } from '../../thread/band.ts';
import { parseStrength } from '../../thread/print.ts';
import { formatWeave, parseWeave } from '../../thread/weaves/weave-text.ts';
import { asPlaid, type Design, isStripe, isTiling } from '../design-schema.ts';
import { USUAL_PRINT } from '../migrate-design.ts';
import { newPlaid } from '../new-design.ts';
import { turnOf, weftOf } from '../plaid/compile-plaid.ts';
import type { PrintChoice } from '../plaid/plaid-schema.ts';
import { stripeFromFields, stripeToText } from './stripe-text.ts';
import {
  checkPivots,
  keyOf,
  type Pivots,
  parseDensityPair,
  pivotsOf,
  placed,
  starterShades,
} from './text-parts.ts';

/**
 * A new design from a thread-count text. Letters that the text gives no colour take one of `STARTERS`.
 * @throws CoreError of the parts, their places counted in the whole text
 */
export function designFromText(text: string, name: string): Design {
  const fields = parseCountsText(text);
  if (fields.stripe !== undefined) return stripeFromFields(fields, fields.stripe, name);
  const [warpPivots, weftPivots] = pivotPair(fields.pivots?.value);
  const listed = fields.shades === undefined ? undefined : parseShadeList(fields.shades.value);
  const read = (field: 'warp' | 'weft', pivots: Pivots) => {
    const found = fields[field];
    return (
      found && placed(found.at, () => parseThreadCount(found.value, { keys: listed?.map(keyOf), pivots }))
    );
  };
  const warp = read('warp', warpPivots)!;
  const weft = read('weft', weftPivots);
  checkPivots([warpPivots, weftPivots], [warp.mirror, weft?.mirror ?? 'none']);
  return newPlaid({
    name: fields.name?.value.trim().slice(0, 120) || name,
    shades: listed ?? starterShades([...warp.bands, ...(weft?.bands ?? [])].map((band) => band.shade)),
    warp,
    weft,
    turn: fields.turn && parseTurn(fields.turn.value),
    weave: fields.weave && parseWeave(fields.weave.value),
    print: fields.print && parsePrint(fields.print.value),
    lay: fields.density && parseDensityPair(fields.density.value),
  });
}

/** The thread counts of a design as text that `designFromText` reads back. */
export function designToText(design: Design): string {
  if (isStripe(design)) return stripeToText(design);
  if (isTiling(design)) throw new CoreError('tiling/no-counts');
  const { name, construction, shades, lay } = asPlaid(design);
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

/** One word for both directions, or one for the warp and one for the weft; shared when nothing is written. */
function pivotPair(text: string | undefined): readonly [Pivots, Pivots] {
  const [warp, weft] = (text ?? 'shared').trim().split(/\s+/).map(pivotsOf);
  return [warp!, weft ?? warp!];
}

/**
 * Reads how stripes are printed: a blend, a strength and the set on top, "multiply 1 warp"; what is left out is usual.
 * @throws CoreError "print/text" {text, blends}, or as `parseStrength`
 */
export function parsePrint(text: string): PrintChoice {
  const print: { -readonly [part in keyof PrintChoice]: PrintChoice[part] } = { ...USUAL_PRINT };
  for (const word of text.trim().toLowerCase().split(/\s+/)) {
    if (Object.hasOwn(BLENDS, word)) print.blend = word as PrintChoice['blend'];
    else if (word === 'warp' || word === 'weft') print.top = word;
    else if (/^[\d./]+$/.test(word)) {
      parseStrength(word);
      print.strength = word;
    } else throw new CoreError('print/text', { text: word, blends: Object.keys(BLENDS) });
  }
  return print;
}

export function formatPrint({ blend, strength, top }: PrintChoice): string {
  return `${blend} ${strength.replace(/\s+/g, '')} ${top}`;
}

/** @throws CoreError "counts/turn" {text} */
export function parseTurn(text: string): number {
  const turn = /^\d{1,6}$/.test(text.trim()) ? Number(text) : Number.NaN;
  if (!(turn <= MAX_COUNT)) throw new CoreError('counts/turn', { text, most: MAX_COUNT });
  return turn;
}
