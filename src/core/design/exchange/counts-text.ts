import { PRINT_BLENDS } from '../../colour/blend.ts';
import { cardWith } from '../../colour/shade-words.ts';
import { CoreError } from '../../error.ts';
import { parseCountsText } from '../../formats/counts-text.ts';
import { parseShadeList } from '../../formats/shade-list.ts';
import { parseThreadCount, shadeWords } from '../../formats/thread-count.ts';
import { MAX_COUNT } from '../../thread/band.ts';
import { parseStrength } from '../../thread/print.ts';
import { parseWeave } from '../../thread/weaves/weave-text.ts';
import type { Design } from '../design-schema.ts';
import { USUAL_PRINT } from '../migrate-design.ts';
import { newPlaid } from '../new-design.ts';
import type { PrintChoice } from '../plaid/plaid-schema.ts';
import { stripeFromFields } from './stripe-text.ts';
import { checkPivots, type Pivots, parseDensityPair, pivotsOf, placed } from './text-parts.ts';

/**
 * A new design from a thread-count text. Letters that the text gives no colour take those of `shadeOfLetter`.
 * @throws CoreError of the parts, their places counted in the whole text
 */
export function designFromText(text: string, name: string): Design {
  const fields = parseCountsText(text);
  if (fields.stripe !== undefined) return stripeFromFields(fields, fields.stripe, name);
  const [warpPivots, weftPivots] = pivotPair(fields.pivots?.value);
  const shades =
    fields.shades === undefined
      ? cardWith(
          [],
          [fields.warp, fields.weft].flatMap((field) => (field === undefined ? [] : shadeWords(field.value))),
        )
      : parseShadeList(fields.shades.value);
  const read = (field: 'warp' | 'weft', pivots: Pivots) => {
    const found = fields[field];
    return found && placed(found.at, () => parseThreadCount(found.value, { card: shades, pivots }));
  };
  const warp = read('warp', warpPivots)!;
  const weft = read('weft', weftPivots);
  checkPivots([warpPivots, weftPivots], [warp.mirror, weft?.mirror ?? 'none']);
  return newPlaid({
    name: fields.name?.value.trim().slice(0, 120) || name,
    shades,
    warp,
    weft,
    turn: fields.turn && parseTurn(fields.turn.value),
    weave: fields.weave && parseWeave(fields.weave.value),
    print: fields.print && parsePrint(fields.print.value),
    lay: fields.density && parseDensityPair(fields.density.value),
  });
}

/** One word for both directions, or one for the warp and one for the weft; shared when nothing is written. */
function pivotPair(text: string | undefined): readonly [Pivots, Pivots] {
  const [warp, weft] = (text ?? 'shared').trim().split(/\s+/).map(pivotsOf);
  return [warp!, weft ?? warp!];
}

/**
 * Reads how stripes are printed: a blend, a strength, the set on top and the ground, "multiply 1 warp on C"; what is left
 * out is usual.
 * @throws CoreError "print/text" {text, blends}, or as `parseStrength`
 */
export function parsePrint(text: string): PrintChoice {
  const print: { -readonly [part in keyof PrintChoice]: PrintChoice[part] } = { ...USUAL_PRINT };
  const [, how, ground] = /^(.*?)(?:\bon\s+([a-z]{1,3}))?\s*$/i.exec(text)!;
  if (ground !== undefined) print.ground = ground.toUpperCase();
  for (const word of how!.trim().toLowerCase().split(/\s+/)) {
    const blend = PRINT_BLENDS.find((name) => name === word);
    if (blend !== undefined) print.blend = blend;
    else if (word === 'warp' || word === 'weft') print.top = word;
    else if (/^[\d./]+%?$/.test(word)) {
      parseStrength(word);
      print.strength = word;
    } else throw new CoreError('print/text', { text: word, blends: PRINT_BLENDS });
  }
  return print;
}

/** @throws CoreError "counts/turn" {text} */
export function parseTurn(text: string): number {
  const turn = /^\d{1,6}$/.test(text.trim()) ? Number(text) : Number.NaN;
  if (!(turn <= MAX_COUNT)) throw new CoreError('counts/turn', { text, most: MAX_COUNT });
  return turn;
}
