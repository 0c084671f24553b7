import { CoreError, errorFrom } from '../../error.ts';
import type { Mirror } from '../../thread/sequence.ts';
import { DENSITY_BASES, parseDensity } from '../../units/density.ts';
import type { Lay } from '../design-schema.ts';

export type Pivots = Exclude<Mirror, 'none'>;

/**
 * The convention named by "shared" or "doubled".
 * @throws CoreError "counts/pivots" {text}
 */
export function pivotsOf(text: string): Pivots {
  const word = text.trim().toLowerCase();
  if (word !== 'shared' && word !== 'doubled') throw new CoreError('counts/pivots', { text: word });
  return word;
}

/**
 * Refuses doubled pivots where no sequence has any: whoever names them forgot the slashes.
 * @throws CoreError "counts/no-pivots"
 */
export function checkPivots(pivots: readonly Pivots[], mirrors: readonly Mirror[]): void {
  if (pivots.includes('doubled') && !mirrors.includes('doubled')) throw new CoreError('counts/no-pivots');
}

/**
 * "24/in", "24 x 22 / cm".
 * @throws CoreError "counts/density" {text}, or as `parseDensity`
 */
export function parseDensityPair(text: string): Pick<Lay, 'ends' | 'picks' | 'per'> {
  const match = /^\s*(.+?)(?:\s*[x×]\s*(.+?))?\s*\/\s*(in|cm)\s*$/i.exec(text);
  const per = DENSITY_BASES.find((base) => base === match?.[3]?.toLowerCase());
  if (match === null || per === undefined) throw new CoreError('counts/density', { text });
  const ends = match[1]!;
  const picks = match[2] ?? match[1]!;
  parseDensity(ends);
  parseDensity(picks);
  return { ends, picks, per };
}

/** Runs a reader of a part and moves the places in its errors to those in the whole. */
export function placed<T>(offset: number, read: () => T): T {
  try {
    return read();
  } catch (error) {
    if (!(error instanceof CoreError) || typeof error.facts['at'] !== 'number') throw error;
    throw errorFrom(error.code, { ...error.facts, at: error.facts['at'] + offset });
  }
}
