import { CoreError } from '../../error.ts';
import type { Interlacing } from '../weave.ts';
import { type Draft, MAX_DRAFT, MAX_SHAFTS, MAX_TREADLES } from './weave-spec.ts';

/**
 * What a loom weaves: an end is up at a pick when its shaft is one that the pick's treadle lifts.
 * Common practice of the trade.
 *
 * @throws CoreError "draft/shaft" {end, shaft, most} | "draft/treadle" {pick, treadle, most} |
 *         "draft/tieup" {treadle, shaft, most} | "weave/matrix"
 */
export function drawdown({ threading, tieup, treadling }: Draft): Interlacing {
  const [ends, picks] = [threading.length, treadling.length];
  if (ends < 1 || picks < 1 || ends > MAX_DRAFT || picks > MAX_DRAFT) {
    throw new CoreError('weave/matrix', { ends, picks, most: MAX_DRAFT });
  }
  const shaftFits = (shaft: number) => Number.isSafeInteger(shaft) && shaft >= 1 && shaft <= MAX_SHAFTS;
  threading.forEach((shaft, end) => {
    if (!shaftFits(shaft)) throw new CoreError('draft/shaft', { end: end + 1, shaft, most: MAX_SHAFTS });
  });
  const lifts = tieup.map((shafts, treadle) => {
    const lifted = new Uint8Array(MAX_SHAFTS + 1);
    for (const shaft of shafts) {
      if (!shaftFits(shaft))
        throw new CoreError('draft/tieup', { treadle: treadle + 1, shaft, most: MAX_SHAFTS });
      lifted[shaft] = 1;
    }
    return lifted;
  });
  // A pick of one treadle is like any other of it: each is worked out once.
  const shaftOf = Uint8Array.from(threading);
  const rows = lifts.map((lifted) => {
    const row = new Uint8Array(ends);
    for (let end = 0; end < ends; end += 1) row[end] = lifted[shaftOf[end]!]!;
    return row;
  });
  const up = new Uint8Array(ends * picks);
  treadling.forEach((treadle, pick) => {
    const row = rows[treadle - 1];
    if (row === undefined)
      throw new CoreError('draft/treadle', { pick: pick + 1, treadle, most: rows.length });
    up.set(row, pick * ends);
  });
  return { ends, picks, up };
}

/**
 * The draft with the fewest shafts and treadles that weaves a structure: as many shafts as it has different ends, as
 * many treadles as it has different picks, numbered in order of appearance.
 *
 * @throws CoreError "draft/too-many" {shafts, treadles, mostShafts, mostTreadles}
 */
export function draftOf({ ends, picks, up }: Interlacing): Draft {
  const columns = Array.from({ length: ends }, (_, end) =>
    Array.from({ length: picks }, (__, pick) => up[pick * ends + end]).join(''),
  );
  const rows = Array.from({ length: picks }, (_, pick) =>
    up.subarray(pick * ends, (pick + 1) * ends).join(''),
  );
  const [threading, shafts] = numbered(columns);
  const [treadling, treadles] = numbered(rows);
  if (shafts.length > MAX_SHAFTS || treadles.length > MAX_TREADLES) {
    throw new CoreError('draft/too-many', {
      shafts: shafts.length,
      treadles: treadles.length,
      mostShafts: MAX_SHAFTS,
      mostTreadles: MAX_TREADLES,
    });
  }
  const tieup = treadles.map((row) =>
    shafts.flatMap((_, shaft) => (row[threading.indexOf(shaft + 1)] === '1' ? [shaft + 1] : [])),
  );
  return { threading, tieup, treadling };
}

/** Numbers from 1 for each different word, in order of appearance, and the words. */
function numbered(words: readonly string[]): readonly [number[], readonly string[]] {
  const known = new Map<string, number>();
  const numbers = words.map((word) => {
    const number = known.get(word) ?? known.size + 1;
    known.set(word, number);
    return number;
  });
  return [numbers, [...known.keys()]];
}

/** Shafts that a draft needs, and treadles. */
export function draftSize({ threading, tieup }: Draft): { shafts: number; treadles: number } {
  const shafts = tieup.flat().reduce((most, shaft) => Math.max(most, shaft), Math.max(1, ...threading));
  return { shafts, treadles: tieup.length };
}
