import { CoreError } from '../error.ts';

/** The hand of a twill: Z climbs to the right, S to the left (ISO 2). */
export const HANDS = ['Z', 'S'] as const;
export type Hand = (typeof HANDS)[number];

/** A twill a/b: each end over `over` picks, under `under`, shifted by one each pick. 1/1 is plain weave. */
export interface Twill {
  readonly over: number;
  readonly under: number;
  readonly hand: Hand;
}

/** Most threads that a twill may pass over or under. */
export const MAX_TWILL = 32;

/**
 * One repeat of an interlacing.
 * `up` holds ends × picks bytes, pick by pick, the first pick first: 1 where the warp lies over the weft.
 */
export interface Interlacing {
  readonly ends: number;
  readonly picks: number;
  readonly up: Uint8Array;
}

/**
 * The interlacing of a twill. Drawn with the first pick at the bottom, Z climbs to the right.
 * Source: ISO 3572:1976 for the terms, ISO 2:1973 for the hands.
 *
 * @throws CoreError "weave/float" {over, under, most}
 */
export function interlace({ over, under, hand }: Twill): Interlacing {
  const allowed = (floats: number) => Number.isSafeInteger(floats) && floats >= 1 && floats <= MAX_TWILL;
  if (!allowed(over) || !allowed(under)) throw new CoreError('weave/float', { over, under, most: MAX_TWILL });
  const size = over + under;
  const up = new Uint8Array(size * size);
  for (let pick = 0; pick < size; pick += 1) {
    for (let end = 0; end < size; end += 1) {
      const along = hand === 'Z' ? end - pick : end + pick;
      up[pick * size + end] = (along + size) % size < over ? 1 : 0;
    }
  }
  return { ends: size, picks: size, up };
}

/** "Plain", "2/2 twill Z". */
export function twillName({ over, under, hand }: Twill): string {
  return over === 1 && under === 1 ? 'Plain' : `${over}/${under} twill ${hand}`;
}

/**
 * Reads "plain", "2/2", "3/1 S", "2/2Z"; a twill without a hand is Z.
 * @throws CoreError "weave/text" {text} | "weave/float"
 */
export function parseTwill(text: string): Twill {
  if (/^\s*plain\s*$/i.test(text)) return { over: 1, under: 1, hand: 'Z' };
  const match = /^\s*(\d{1,4})\s*\/\s*(\d{1,4})\s*(?:twill)?\s*([zs])?\s*$/i.exec(text);
  if (match === null) throw new CoreError('weave/text', { text });
  const twill: Twill = {
    over: Number(match[1]),
    under: Number(match[2]),
    hand: match[3]?.toUpperCase() === 'S' ? 'S' : 'Z',
  };
  interlace(twill);
  return twill;
}

/** "plain", "2/2Z": what `parseTwill` reads. */
export function formatTwill({ over, under, hand }: Twill): string {
  return over === 1 && under === 1 ? 'plain' : `${over}/${under}${hand}`;
}
