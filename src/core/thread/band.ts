import { CoreError } from '../error.ts';

/** One run of threads of one shade. */
export interface Band {
  /** Key of a shade of the design. */
  readonly shade: string;
  /** Threads, whole, 1 … MAX_COUNT. */
  readonly count: number;
  /** How strongly it is printed, as typed; left out, as strongly as its set of stripes. */
  readonly strength?: string | undefined;
}

/** Most threads of one band, and of one sequence laid out. */
export const MAX_COUNT = 100_000;

/** Most bands of one typed sequence. */
export const MAX_BANDS = 2_000;

/** Threads of some bands, as they are typed. */
export function typedThreads(bands: readonly Band[]): number {
  return bands.reduce((sum, band) => sum + band.count, 0);
}

/** @throws CoreError "band/count" {shade, count, most} */
export function checkBand(band: Band): void {
  if (!Number.isSafeInteger(band.count) || band.count < 1 || band.count > MAX_COUNT) {
    throw new CoreError('band/count', { shade: band.shade, count: band.count, most: MAX_COUNT });
  }
}
