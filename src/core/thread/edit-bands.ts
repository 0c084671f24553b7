import type { Band } from './band.ts';
import { MAX_COUNT } from './band.ts';

/** What a hand does on a rail, as functions of the typed bands. What changes nothing returns the same object. */
export type Bands = readonly Band[];

/** Sets the count of one band, kept within 1 … MAX_COUNT. */
export function setCount(bands: Bands, at: number, count: number): Bands {
  const kept = Math.min(MAX_COUNT, Math.max(1, Math.round(count)));
  if (!(at in bands) || bands[at]!.count === kept) return bands;
  return bands.map((band, index) => (index === at ? { ...band, count: kept } : band));
}

/**
 * Moves `threads` from one band to another, as far as the giver keeps one; a negative number moves them back.
 * The total stays.
 */
export function tradeThreads(bands: Bands, to: number, from: number, threads: number): Bands {
  if (!(to in bands) || !(from in bands) || to === from) return bands;
  const taken = Math.min(bands[from]!.count - 1, Math.max(1 - bands[to]!.count, Math.round(threads)));
  return setCount(setCount(bands, to, bands[to]!.count + taken), from, bands[from]!.count - taken);
}

/** Takes a band out and puts it back so that it stands at place `to`. */
export function moveBand(bands: Bands, from: number, to: number): Bands {
  if (!(from in bands) || !(to in bands) || from === to) return bands;
  const rest = bands.filter((_, index) => index !== from);
  return [...rest.slice(0, to), bands[from]!, ...rest.slice(to)];
}

/** Cuts a band in two halves, the first the larger; one thread cannot be cut. */
export function splitBand(bands: Bands, at: number): Bands {
  const band = bands[at];
  if (band === undefined || band.count < 2) return bands;
  const first = Math.ceil(band.count / 2);
  return bands.flatMap((each, index) =>
    index === at
      ? [
          { ...each, count: first },
          { ...each, count: each.count - first },
        ]
      : [each],
  );
}

/** Takes a band out; the last one stays. */
export function removeBand(bands: Bands, at: number): Bands {
  if (!(at in bands) || bands.length === 1) return bands;
  return bands.filter((_, index) => index !== at);
}

/** Puts a band in so that it stands at place `at`. */
export function insertBand(bands: Bands, at: number, band: Band): Bands {
  return [...bands.slice(0, at), band, ...bands.slice(at)];
}

/** Gives one band a strength of its own, as typed; undefined takes it away. */
export function setStrength(bands: Bands, at: number, strength: string | undefined): Bands {
  if (!(at in bands) || bands[at]!.strength === strength) return bands;
  return bands.map((band, index) => {
    if (index !== at) return band;
    const { strength: _, ...rest } = band;
    return strength === undefined ? rest : { ...rest, strength };
  });
}

/** Gives one band another shade. */
export function setShade(bands: Bands, at: number, shade: string): Bands {
  if (!(at in bands) || bands[at]!.shade === shade) return bands;
  return bands.map((band, index) => (index === at ? { ...band, shade } : band));
}
