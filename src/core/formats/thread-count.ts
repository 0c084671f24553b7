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
 *         "notation/count" | "notation/pivot" | "sequence/bands" | "sequence/threads"
 */
export function parseThreadCount(text: string, { keys, pivots }: ThreadCountContext): Sequence {
  if (text.length > MAX_THREAD_COUNT_TEXT) {
    throw new CoreError('notation/too-long', { length: text.length, most: MAX_THREAD_COUNT_TEXT });
  }
  const words = [...text.matchAll(/[^\s,;]+/g)].map((match) => readWord(match[0], match.index, keys));
  if (words.length === 0) throw new CoreError('notation/empty', { at: 0, length: 0 });
  if (words.length > MAX_BANDS) {
    throw new CoreError('sequence/bands', { bands: words.length, most: MAX_BANDS });
  }
  const mirrored = words.some((word) => word.pivot);
  if (mirrored) checkPivots(words);
  const sequence: Sequence = {
    bands: words.map(({ shade, count }): Band => ({ shade, count })),
    mirror: mirrored ? pivots : 'none',
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

interface Word extends Band {
  readonly pivot: boolean;
  readonly at: number;
  readonly length: number;
}

function readWord(word: string, at: number, keys: readonly string[] | undefined): Word {
  const match = /^([A-Za-z]+)(\/?)(.*)$/.exec(word);
  if (match === null) throw new CoreError('notation/band', { word, at, length: word.length });
  const letters = match[1]!;
  const shade = letters.toUpperCase();
  if (letters.length > 3 || (keys !== undefined && !keys.includes(shade))) {
    throw new CoreError('notation/shade', { shade, at, length: letters.length, known: keys ?? [] });
  }
  const digits = match[3]!;
  const count = /^\d{1,10}$/.test(digits) ? Number(digits) : Number.NaN;
  if (!(count >= 1 && count <= MAX_COUNT)) {
    const before = letters.length + match[2]!.length;
    throw new CoreError('notation/count', {
      word,
      count: digits,
      at: at + (digits === '' ? 0 : before),
      length: digits === '' ? word.length : digits.length,
      most: MAX_COUNT,
    });
  }
  return { shade, count, pivot: match[2] === '/', at, length: word.length };
}

/** Pivots are the first and the last band, both or neither. */
function checkPivots(words: readonly Word[]): void {
  const last = words.length - 1;
  words.forEach((word, index) => {
    const end = index === 0 || index === last;
    if (word.pivot !== end) {
      throw new CoreError('notation/pivot', {
        word: `${word.shade}${word.pivot ? '/' : ''}${word.count}`,
        at: word.at,
        length: word.length,
        marked: word.pivot,
      });
    }
  });
}
