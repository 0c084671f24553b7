import { BLENDS } from '../../colour/blend.ts';
import type { Shade } from '../../colour/shade.ts';
import { CoreError } from '../../error.ts';
import { toText } from '../../exact/rational.ts';
import { formatCountsText, parseCountsText } from '../../formats/counts-text.ts';
import { formatShadeList, parseShadeList } from '../../formats/shade-list.ts';
import { formatThreadCount, parseThreadCount } from '../../formats/thread-count.ts';
import { MAX_COUNT } from '../../thread/band.ts';
import { parseStrength } from '../../thread/print.ts';
import type { Mirror } from '../../thread/sequence.ts';
import { formatTwill, parseTwill } from '../../thread/weave.ts';
import { DENSITY_BASES, parseDensity } from '../../units/density.ts';
import type { Design, Lay } from '../design-schema.ts';
import { USUAL_PRINT } from '../migrate-design.ts';
import { newPlaid } from '../new-design.ts';
import { turnOf, weftOf } from '../plaid/compile-plaid.ts';
import type { PrintChoice } from '../plaid/plaid-schema.ts';

/**
 * A new design from a thread-count text. Letters that the text gives no colour take one of `STARTERS`.
 * @throws CoreError of the parts, their places counted in the whole text
 */
export function designFromText(text: string, name: string): Design {
  const fields = parseCountsText(text);
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
  return newPlaid({
    name: fields.name?.value.trim().slice(0, 120) || name,
    shades: listed ?? starterShades([...warp.bands, ...(weft?.bands ?? [])].map((band) => band.shade)),
    warp,
    weft,
    turn: fields.turn && parseTurn(fields.turn.value),
    weave: fields.weave && parseTwill(fields.weave.value),
    print: fields.print && parsePrint(fields.print.value),
    lay: fields.density && parseDensityPair(fields.density.value),
  });
}

/** The thread counts of a design as text that `designFromText` reads back. */
export function designToText({ name, construction, shades, lay }: Design): string {
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
    weave: formatTwill(construction.weave),
    print: construction.crossing === 'printed' ? formatPrint(construction.print) : undefined,
    density: `${lay.ends} x ${lay.picks} / ${lay.per}`,
  });
}

type Pivots = Exclude<Mirror, 'none'>;

/**
 * The convention named by "shared" or "doubled".
 * @throws CoreError "counts/pivots" {text}
 */
export function pivotsOf(text: string): Pivots {
  const word = text.trim().toLowerCase();
  if (word !== 'shared' && word !== 'doubled') throw new CoreError('counts/pivots', { text: word });
  return word;
}

/** One word for both directions, or one for the warp and one for the weft; shared when nothing is written. */
function pivotPair(text: string | undefined): readonly [Pivots, Pivots] {
  const [warp, weft] = (text ?? 'shared').trim().split(/\s+/).map(pivotsOf);
  return [warp!, weft ?? warp!];
}

/**
 * "24/in", "24 x 22 / cm".
 * @throws CoreError "counts/density" {text}, or as `parseDensity`
 */
export function parseDensityPair(text: string): Pick<Lay, 'ends' | 'picks' | 'per'> {
  const match = /^\s*(.+?)(?:\s*[x×]\s*(.+?))?\s*\/\s*(in|cm)\s*$/i.exec(text);
  const per = DENSITY_BASES.find((base) => base === match?.[3]?.toLowerCase());
  if (match === null || per === undefined) throw new CoreError('counts/density', { text });
  const [ends, picks] = [match[1]!, match[2] ?? match[1]!];
  parseDensity(ends);
  parseDensity(picks);
  return { ends, picks, per };
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
    else if (/^[\d./]+$/.test(word)) print.strength = toText(parseStrength(word));
    else throw new CoreError('print/text', { text: word, blends: Object.keys(BLENDS) });
  }
  return print;
}

export function formatPrint({ blend, strength, top }: PrintChoice): string {
  return `${blend} ${toText(parseStrength(strength))} ${top}`;
}

/** @throws CoreError "counts/turn" {text} */
export function parseTurn(text: string): number {
  const turn = /^\d{1,6}$/.test(text.trim()) ? Number(text) : Number.NaN;
  if (!(turn <= MAX_COUNT)) throw new CoreError('counts/turn', { text, most: MAX_COUNT });
  return turn;
}

/** Shades for letters that come without colours: far apart, calm, dark and light in turn. */
const STARTERS = ['#24402f', '#efe6cf', '#8c2f25', '#c79a3b', '#2e4c63', '#7f96a3', '#262b2d', '#b86f52'];

/** One shade for each different letter, in order of appearance. */
export function starterShades(letters: readonly string[]): readonly Shade[] {
  return [...new Set(letters)].map((key, index) => ({
    key,
    name: `Shade ${key}`,
    hex: STARTERS[index % STARTERS.length]!,
  }));
}

function keyOf(shade: Shade): string {
  return shade.key;
}

/** Runs a reader of a part and moves the places in its errors to those in the whole. */
function placed<T>(offset: number, read: () => T): T {
  try {
    return read();
  } catch (error) {
    if (!(error instanceof CoreError) || typeof error.facts['at'] !== 'number') throw error;
    throw new CoreError(error.code, { ...error.facts, at: error.facts['at'] + offset });
  }
}
