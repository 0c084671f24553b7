import type { Shade } from '../colour/shade.ts';
import { cardWith, keyOfWord } from '../colour/shade-words.ts';
import { CoreError } from '../error.ts';
import { type Band, MAX_BANDS, MAX_COUNT } from '../thread/band.ts';
import { parseStrength } from '../thread/print.ts';
import { checkSequence, type Mirror, type Sequence } from '../thread/sequence.ts';

/** Longest thread-count text that is read, in characters. */
export const MAX_THREAD_COUNT_TEXT = 40_000;

/** What the reader needs to know beside the text. */
export interface ThreadCountContext {
  /** Shades that may be named, by letter or by name; undefined takes any letters and colour names. */
  readonly card: readonly Shade[] | undefined;
  /** Convention for a text whose pivots are marked with a slash. */
  readonly pivots: Exclude<Mirror, 'none'>;
}

/**
 * Reads the trade's thread counts: `A/12 B6 C/4`, `white 12, green 12`, `G10R6C4`. A letter or a name says a shade, a
 * slash marks the two pivots of a mirrored sett, commas and any white space part the bands, capitals and small letters
 * are the same. A print's band may have a strength of its own: `A12@60%`.
 *
 * Every error names the place: {at, length} in characters of `text`.
 * @throws CoreError "notation/empty" | "notation/too-long" | "notation/band" | "notation/shade" |
 *         "notation/count" | "notation/pivot-inside" | "notation/pivot-alone" | "print/strength" |
 *         "sequence/bands" | "sequence/threads"
 */
export function parseThreadCount(text: string, { card, pivots }: ThreadCountContext): Sequence {
  const words = splitBands(text, card);
  const sequence: Sequence = { bands: words.map(readBand), mirror: words[0]!.pivot ? pivots : 'none' };
  checkSequence(sequence);
  return sequence;
}

/** Writes a sequence so that `parseThreadCount` reads it back; the convention of the pivots is not in the text. */
export function formatThreadCount({ bands, mirror }: Sequence): string {
  const last = bands.length - 1;
  return bands
    .map(({ shade, count, strength }, index) => {
      const pivot = mirror !== 'none' && (index === 0 || index === last);
      return `${shade}${pivot ? '/' : ''}${count}${strength === undefined ? '' : `@${strength.replace(/\s+/g, '')}`}`;
    })
    .join(' ');
}

/** One band of a text: the word that says its shade, whether a slash marks it as a pivot, and what is written behind. */
interface TypedBand {
  readonly word: string;
  readonly name: string;
  readonly pivot: boolean;
  readonly rest: string;
  /** Where the band begins, and where the rest does. */
  readonly at: number;
  readonly restAt: number;
}

/** A band of a text whose shade is known. */
export interface BandWord extends TypedBand {
  readonly shade: string;
}

/** Every word that says a shade in a text of bands, in their order; nothing of what cannot be read. */
export function shadeWords(text: string): readonly string[] {
  return typedBands(text.slice(0, MAX_THREAD_COUNT_TEXT)).map(({ name }) => name);
}

/** @throws CoreError as `parseThreadCount`, but for the counts */
export function splitBands(text: string, card: readonly Shade[] | undefined): readonly BandWord[] {
  if (text.length > MAX_THREAD_COUNT_TEXT) {
    throw new CoreError('notation/too-long', { length: text.length, most: MAX_THREAD_COUNT_TEXT });
  }
  const typed = typedBands(text);
  if (typed.length === 0) throw new CoreError('notation/empty', { at: 0, length: 0 });
  if (typed.length > MAX_BANDS)
    throw new CoreError('sequence/bands', { bands: typed.length, most: MAX_BANDS });
  const known =
    card ??
    cardWith(
      [],
      typed.map(({ name }) => name),
    );
  const keys = new Map<string, string | undefined>();
  const words = typed.map((band) => {
    if (band.name === '') {
      throw new CoreError('notation/band', { word: band.word, at: band.at, length: band.word.length });
    }
    if (!keys.has(band.name)) keys.set(band.name, keyOfWord(known, band.name));
    const shade = keys.get(band.name);
    if (shade === undefined) throw unknownShade(band, card);
    return { ...band, shade };
  });
  if (words.some((word) => word.pivot)) checkPivots(words);
  return words;
}

/** A name that no shade has; where its first word is one, the count behind that was forgotten. */
function unknownShade({ name, at }: TypedBand, card: readonly Shade[] | undefined): CoreError {
  const [first] = name.split(' ');
  if (first !== name && keyOfWord(card ?? cardWith([], [first!]), first!) !== undefined) {
    return new CoreError('notation/count', {
      word: first!,
      count: '',
      at,
      length: first!.length,
      most: MAX_COUNT,
    });
  }
  const shade = name.length > 3 ? name : name.toUpperCase();
  return new CoreError('notation/shade', {
    shade,
    at,
    length: name.length,
    known: card?.map(({ key }) => key) ?? [],
  });
}

/**
 * A band: words of letters, a slash, then what is no letter; a unit belongs to it unless digits follow that, and so does
 * a strength. Each part may be missing.
 */
const BAND =
  /([A-Za-z][A-Za-z’']*(?:[ \t]+[A-Za-z][A-Za-z’']*)*)?[ \t]*(\/?)[ \t]*([^\sA-Za-z,;]*(?:[ \t]*(?:mm|cm|in|pt|px|threads?)(?![A-Za-z]|[ \t]*\/?[ \t]*\d)(?:@[^\s,;]*)?)?)/iy;

function typedBands(text: string): readonly TypedBand[] {
  const bands: TypedBand[] = [];
  let at = 0;
  for (;;) {
    while (/[\s,;]/.test(text.charAt(at))) at += 1;
    if (at >= text.length) return bands;
    BAND.lastIndex = at;
    const match = BAND.exec(text)!;
    const written = match[0].trimEnd();
    // What no rule knows is taken by itself, so that reading goes on.
    const word = written === '' ? text.charAt(at) : written;
    const rest = match[3]!;
    bands.push({
      word,
      name: (match[1] ?? '').replace(/\s+/g, ' '),
      pivot: match[2] === '/',
      rest,
      at,
      restAt: at + match[0].length - rest.length,
    });
    at += Math.max(1, match[0].length);
  }
}

function readBand({ word, shade, rest, at, restAt }: BandWord): Band {
  const [typed, strength] = rest.split('@', 2) as [string, string | undefined];
  const count = /^\d{1,10}$/.test(typed) ? Number(typed) : Number.NaN;
  if (!(count >= 1 && count <= MAX_COUNT)) {
    throw new CoreError('notation/count', {
      word,
      count: typed,
      at: rest === '' ? at : restAt,
      length: rest === '' ? word.length : rest.length,
      most: MAX_COUNT,
    });
  }
  if (strength === undefined) return { shade, count };
  parseStrength(strength);
  return { shade, count, strength };
}

/** Pivots are the first and the last band, both or neither. */
function checkPivots(words: readonly BandWord[]): void {
  const last = words.length - 1;
  words.forEach(({ word, at, pivot }, index) => {
    const end = index === 0 || index === last;
    if (pivot === end) return;
    const facts = { word, at, length: word.length };
    if (pivot) throw new CoreError('notation/pivot-inside', facts);
    throw new CoreError('notation/pivot-alone', facts);
  });
}
