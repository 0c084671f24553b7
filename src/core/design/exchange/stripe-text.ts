import { cardWith } from '../../colour/shade-words.ts';
import { CoreError } from '../../error.ts';
import { LEVEL, parseSlope, type Slope, UPRIGHT } from '../../exact/slope.ts';
import type { CountsField, CountsFields } from '../../formats/counts-text.ts';
import { parseShadeList } from '../../formats/shade-list.ts';
import { shadeWords, splitBands, type ThreadCountContext } from '../../formats/thread-count.ts';
import { BAND_UNITS, type BandUnit, readWidth } from '../../units/band-width.ts';
import type { StripeDesign } from '../design-schema.ts';
import { newStripe } from '../new-design.ts';
import { MEASURED, type Measured, type Stripe, type WideBand } from '../stripe/stripe-schema.ts';
import { checkPivots, parseDensityPair, pivotsOf, placed } from './text-parts.ts';

/**
 * Reads the bands of a stripe: `A12.5 B1/3 C3/4in`, `white 10 green 5 mm`, with a slash before the two pivots: `A/12 B6 C/4`.
 * @throws CoreError as `splitBands`, or "notation/width" {word, width, at, length}
 */
export function parseBandWidths(
  text: string,
  { card, pivots }: ThreadCountContext,
): Pick<Stripe, 'bands' | 'mirror'> {
  const words = splitBands(text, card);
  const bands = words.map(({ word, shade, rest, at, restAt }): WideBand => {
    try {
      readWidth(rest);
    } catch (error) {
      if (!(error instanceof CoreError)) throw error;
      const place = rest === '' ? { at, length: word.length } : { at: restAt, length: rest.length };
      throw new CoreError('notation/width', { word, width: rest, ...place });
    }
    return { shade, width: rest };
  });
  return { bands, mirror: words[0]!.pivot ? pivots : 'none' };
}

/** A new stripe from the fields of a text. */
export function stripeFromFields(fields: CountsFields, stripe: CountsField, name: string): StripeDesign {
  const shades =
    fields.shades === undefined
      ? cardWith([], shadeWords(stripe.value))
      : parseShadeList(fields.shades.value);
  const pivots = pivotsOf(fields.pivots?.value ?? 'shared');
  const read = placed(stripe.at, () => parseBandWidths(stripe.value, { card: shades, pivots }));
  checkPivots([pivots], [read.mirror]);
  return newStripe({
    name: fields.name?.value.trim().slice(0, 120) || name,
    shades,
    ...read,
    unit: parseBandUnit(fields.unit?.value ?? 'mm'),
    slope: parseDirection(fields.slope?.value ?? 'down'),
    asked: fields.angle?.value.trim() ?? null,
    measured: parseMeasured(fields.measured?.value ?? 'across'),
    clear: fields.clear?.value.trim().toUpperCase() ?? null,
    lay: fields.density && parseDensityPair(fields.density.value),
  });
}

/** @throws CoreError "stripe/unit" {text, known} */
export function parseBandUnit(text: string): BandUnit {
  const word = text
    .trim()
    .toLowerCase()
    .replace(/^threads$/, 'thread');
  const unit = BAND_UNITS.find((each) => each === word);
  if (unit === undefined) throw new CoreError('stripe/unit', { text, known: BAND_UNITS });
  return unit;
}

/** @throws CoreError "stripe/measured" {text} */
export function parseMeasured(text: string): Measured {
  const measured = MEASURED.find((each) => each === text.trim().toLowerCase());
  if (measured === undefined) throw new CoreError('stripe/measured', { text });
  return measured;
}

/**
 * Reads "down", "across" or a slope such as 7/10.
 * @throws CoreError as `parseSlope`
 */
export function parseDirection(text: string): Slope {
  const word = text.trim().toLowerCase();
  return word === 'down' ? UPRIGHT : word === 'across' ? LEVEL : parseSlope(text);
}
