import { CoreError } from '../error.ts';
import { type Band, checkBand, MAX_BANDS, MAX_COUNT, typedThreads } from './band.ts';

/**
 * How a typed sequence turns back: not at all, on its two pivots (each laid out once), or as a whole
 * (so that each pivot meets itself).
 */
export const MIRRORS = ['none', 'shared', 'doubled'] as const;
export type Mirror = (typeof MIRRORS)[number];

export interface Sequence {
  readonly bands: readonly Band[];
  readonly mirror: Mirror;
}

/** A band where it lies in the full repeat of its sequence. */
export interface LaidBand extends Band {
  /** Index of the typed band it comes from. */
  readonly source: number;
  /** Whether it is a reflection of that band. */
  readonly reflected: boolean;
  /** Threads before it. */
  readonly start: number;
}

/**
 * Lays out one repeat of a sequence, band by band.
 *   A4 B2 C6, none    → A4 B2 C6
 *   A4 B2 C6, shared  → A4 B2 C6 B2           first + last + 2 × the bands between
 *   A4 B2 C6, doubled → A4 B2 C6 C6 B2 A4     2 × the sum
 * Common practice of the trade.
 *
 * @throws CoreError "sequence/empty" | "sequence/bands" | "sequence/threads" | "band/count"
 */
export function layOut(sequence: Sequence): readonly LaidBand[] {
  checkSequence(sequence);
  const typed = sequence.bands.map((band, source) => ({ ...band, source, reflected: false }));
  const back = typed.map((band) => ({ ...band, reflected: true })).reverse();
  let start = 0;
  return [...typed, ...reflection(back, sequence.mirror)].map((band) => {
    const laid = { ...band, start };
    start += band.count;
    return laid;
  });
}

function reflection<T>(back: readonly T[], mirror: Mirror): readonly T[] {
  switch (mirror) {
    case 'none':
      return [];
    case 'shared':
      return back.slice(1, -1);
    case 'doubled':
      return back;
    default:
      return mirror satisfies never;
  }
}

/** Threads in one repeat of a sequence, before it is laid out. */
export function threadCount({ bands, mirror }: Sequence): number {
  const typed = typedThreads(bands);
  if (mirror === 'none') return typed;
  if (mirror === 'doubled' || bands.length < 2) return typed * (mirror === 'doubled' ? 2 : 1);
  return 2 * typed - bands[0]!.count - bands.at(-1)!.count;
}

/** Refuses what cannot be laid out; the errors are those of `layOut`. */
export function checkSequence(sequence: Sequence): void {
  if (sequence.bands.length === 0) throw new CoreError('sequence/empty', {});
  if (sequence.bands.length > MAX_BANDS) {
    throw new CoreError('sequence/bands', { bands: sequence.bands.length, most: MAX_BANDS });
  }
  sequence.bands.forEach(checkBand);
  const threads = threadCount(sequence);
  if (threads > MAX_COUNT) throw new CoreError('sequence/threads', { threads, most: MAX_COUNT });
}

/**
 * One shade index per thread, in laid-out order.
 * @param keys  the keys of the shade card; an index is a place in it
 * @throws CoreError as `layOut`, or "band/shade" {shade}
 */
export function threadsOf(sequence: Sequence, keys: readonly string[]): Uint16Array {
  return threadsBy(sequence, ({ shade }) => {
    const index = keys.indexOf(shade);
    if (index < 0) throw new CoreError('band/shade', { shade });
    return index;
  });
}

/** The same with an index of anything that is said of a band. @throws CoreError as `layOut` */
export function threadsBy(sequence: Sequence, indexOf: (band: Band) => number): Uint16Array {
  const threads = new Uint16Array(threadCount(sequence));
  for (const band of layOut(sequence)) threads.fill(indexOf(band), band.start, band.start + band.count);
  return threads;
}
