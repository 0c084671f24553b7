import { CoreError } from '../../error.ts';
import { randomNumbers } from '../../exact/random-numbers.ts';
import type { Interlacing } from '../weave.ts';

/** Largest crepe, and flips that are tried for each of its cells. */
const MAX_CREPE = 64;
const TRIES = 6;

/**
 * An irregular structure without a float above `most`: plain weave, of which cells are turned over at random, each
 * only where no float grows too long. The same seed gives the same.
 *
 * @throws CoreError "weave/size" {text, least, most}
 */
export function crepe({ size, seed, most }: { size: number; seed: number; most: number }): Interlacing {
  if (!(Number.isSafeInteger(size) && size >= 4 && size <= MAX_CREPE && size % 2 === 0)) {
    throw new CoreError('weave/size', { text: String(size), least: 4, most: MAX_CREPE });
  }
  if (!(Number.isSafeInteger(most) && most >= 1 && most <= size)) {
    throw new CoreError('weave/size', { text: String(most), least: 1, most: size });
  }
  const random = randomNumbers(seed);
  const up = Uint8Array.from({ length: size * size }, (_, at) => ((at % size) + Math.floor(at / size)) % 2);
  for (let attempt = 0; attempt < size * size * TRIES; attempt += 1) {
    const at = random() % up.length;
    up[at] = 1 - up[at]!;
    const end = at % size;
    const pick = Math.floor(at / size);
    const along = (place: number) => up[pick * size + place]!;
    const upward = (place: number) => up[place * size + end]!;
    if (longestRun(size, along) > most || longestRun(size, upward) > most) up[at] = 1 - up[at]!;
  }
  return { ends: size, picks: size, up };
}

/** Longest run of equal cells round a ring. */
function longestRun(size: number, cell: (place: number) => number): number {
  let longest = 1;
  let run = 1;
  for (let place = 1; place < 2 * size; place += 1) {
    run = cell(place % size) === cell((place - 1) % size) ? run + 1 : 1;
    longest = Math.max(longest, run);
  }
  return Math.min(longest, size);
}
