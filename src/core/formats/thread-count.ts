import { CoreError } from '../error.ts';
import { type Band, MAX_BANDS, MAX_COUNT } from '../thread/band.ts';
import { checkSequence, type Mirror, type Sequence } from '../thread/sequence.ts';

/** Longest thread-count text that is read, in characters. */
export const MAX_THREAD_COUNT_TEXT = 40_000;

/** What the reader needs to know beside the text. */
export interface ThreadCountContext {
  /** Keys that may be used; undefined allows any. */
  readonly keys: readonly string[] | undefined;
  /** Convention for a text whose pivots are marked with a slash. */
  readonly pivots: Exclude<Mirror, 'none'>;
}

/**
 * Reads the trade's thread counts: `A/12 B6 C/4`. Letters name a shade, a slash marks the two pivots of a
 * mirrored sett, commas and any white space part the bands, capitals and small letters are the same.
 *
 * Every error names the place: {at, length} in characters of `text`.
 * @throws CoreError "notation/empty" | "notation/too-long" | "notation/band" | "notation/shade" |
 *         "notation/count" | "notation/pivot-inside" | "notation/pivot-alone" | "sequence/bands" | "sequence/threads"
 */
export function parseThreadCount(text: string, { keys, pivots }: ThreadCountContext): Sequence {
  const words = splitBands(text, keys);
  const sequence: Sequence = {
    bands: words.map((word): Band => ({ shade: word.shade, count: readCount(word) })),
    mirror: words[0]!.pivot ? pivots : 'none',
  };
  checkSequence(sequence);
  return sequence;
}

/** Writes a sequence so that `parseThreadCount` reads it back; the convention of the pivots is not in the text. */
export function formatThreadCount({ bands, mirror }: Sequence): string {
  const last = bands.length - 1;
  return bands
    .map(({ shade, count }, index) => {
      const pivot = mirror !== 'none' && (index === 0 || index === last);
      return `${shade}${pivot ? '/' : ''}${count}`;
    })
    .join(' ');
}

/** One band of a text: its shade, whether a slash marks it as a pivot, and what is written behind. */
export interface BandWord {
  readonly word: string;
  readonly shade: string;
  readonly pivot: boolean;
  readonly rest: string;
  /** Where the word begins, and where the rest does. */
  readonly at: number;
  readonly restAt: number;
}

/** @throws CoreError as `parseThreadCount`, but for the counts */
export function splitBands(text: string, keys: readonly string[] | undefined): readonly BandWord[] {
  if (text.length > MAX_THREAD_COUNT_TEXT) {
    throw new CoreError('notation/too-long', { length: text.length, most: MAX_THREAD_COUNT_TEXT });
  }
  const words = [...text.matchAll(/[^\s,;]+/g)].map((match) => splitWord(match[0], match.index, keys));
  if (words.length === 0) throw new CoreError('notation/empty', { at: 0, length: 0 });
  if (words.length > MAX_BANDS) {
    throw new CoreError('sequence/bands', { bands: words.length, most: MAX_BANDS });
  }
  if (words.some((word) => word.pivot)) checkPivots(words);
  return words;
}

function splitWord(word: string, at: number, keys: readonly string[] | undefined): BandWord {
  const match = /^([A-Za-z]+)(\/?)(.*)$/.exec(word);
  if (match === null) throw new CoreError('notation/band', { word, at, length: word.length });
  const letters = match[1]!;
  const shade = letters.toUpperCase();
  if (letters.length > 3 || (keys !== undefined && !keys.includes(shade))) {
    throw new CoreError('notation/shade', { shade, at, length: letters.length, known: keys ?? [] });
  }
  const restAt = at + letters.length + match[2]!.length;
  return { word, shade, pivot: match[2] === '/', rest: match[3]!, at, restAt };
}

function readCount({ word, rest, at, restAt }: BandWord): number {
  const count = /^\d{1,10}$/.test(rest) ? Number(rest) : Number.NaN;
  if (!(count >= 1 && count <= MAX_COUNT)) {
    throw new CoreError('notation/count', {
      word,
      count: rest,
      at: rest === '' ? at : restAt,
      length: rest === '' ? word.length : rest.length,
      most: MAX_COUNT,
    });
  }
  return count;
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
