import type { PlyBlend } from '../core/colour/ply-blend.ts';
import type { ByKind } from '../core/design/constructions.ts';
import type { PliesDesign } from '../core/design/design-schema.ts';
import { type PlyReport, pliesReport, plyName } from '../core/design/plies/plies-report.ts';
import type { PliesSpec, PlyContent, PlySpec } from '../core/design/plies/plies-schema.ts';
import type { PlyOffers } from '../core/design/plies/ply-offers-of.ts';
import { multiply, rational, toDecimal } from '../core/exact/rational.ts';
import { parseStrength } from '../core/thread/print.ts';
import type { LengthUnit } from '../core/units/length.ts';
import type { Named } from './construction-words.ts';
import { plural, shortSizeText } from './measures.ts';

/** "3 plies, 1 hidden". */
export function pliesText({ plies }: PliesSpec): string {
  const hidden = plies.filter(({ shown }) => !shown).length;
  return `${plies.length === 1 ? '1 ply' : `${plies.length} plies`}${hidden > 0 ? `, ${hidden} hidden` : ''}`;
}

/** How often a ply goes into the repeat of all: "Goes 3 × 2 times into the repeat". */
export function timesText({ across, down }: PlyReport['times']): string {
  if (across === 1 && down === 1) return 'Goes once into the repeat';
  return across === down
    ? `Goes ${plural(across, 'time')} into the repeat, across and up`
    : `Goes ${across} times across and ${down} times up into the repeat`;
}

/** What follows of each ply, the lowest first. @throws CoreError as `pliesReport` */
export function pliesChecked(design: PliesDesign): readonly Named[] {
  return pliesReport(design).map(({ name, times }, at) => [`Ply ${at + 1}, ${name}`, timesText(times)]);
}

/** Names of the designs in plies, by which these are found. */
export function pliesFound({ plies }: PliesSpec): readonly string[] {
  return plies.flatMap(({ content }) => (content.kind === 'design' ? [plyName(content, [])] : []));
}

/** "Color dodge". */
export function blendName(blend: PlyBlend): string {
  const words = blend.replaceAll('-', ' ');
  return words.charAt(0).toUpperCase() + words.slice(1);
}

/** How a ply lies, for its row: "Multiply, 20%". */
export function lookText({ blend, strength, clip }: PlySpec): string {
  const shown = toDecimal(multiply(parseStrength(strength), rational(100)), 1);
  const inside = clip === null ? '' : `, inside ply ${clip + 1}`;
  return `${blendName(blend)}, ${shown}%${inside}`;
}

/** What a ply is made of, in a word. */
export function contentWord(content: PlyContent): string {
  switch (content.kind) {
    case 'design':
      return WORD_OF[content.design.construction.kind];
    case 'shade':
      return 'Shade';
    case 'fade':
      return 'Fade';
    default:
      return content satisfies never;
  }
}

const WORD_OF: Readonly<Record<keyof ByKind, string>> = {
  plaid: 'Threads',
  stripe: 'Stripe',
  tiling: 'Tiling',
  motif: 'Motif',
  plies: 'Plies',
};

/** By how much a ply is made larger or smaller than it is: "2.4% larger". */
export function factorText(factor: number): string {
  const percent = Number(Math.abs(factor * 100 - 100).toPrecision(2));
  return `${percent}% ${factor > 1 ? 'larger' : 'smaller'}`;
}

/** Numbers at which a ply closes, on one line: "These close: 2 to one of the lowest (68.3 × 68.3 mm), …"; empty where none do. */
export function offersText({ whole, scales }: PlyOffers, unit: LengthUnit): string {
  const offers = new Map(
    [...(whole === null ? [] : [whole]), ...scales].map((offer) => [offer.count, offer]),
  );
  if (offers.size === 0) return '';
  const lines = [...offers.values()].map(
    ({ count, size }) => `${count} to one of the lowest (${shortSizeText(size, unit)})`,
  );
  return `These close: ${lines.join(', ')}.`;
}
