import { CoreError } from '../../error.ts';
import type { Interlacing } from '../weave.ts';
import { threadKinds } from './thread-kinds.ts';
import { type Draft, MAX_DRAFT, MAX_SHAFTS } from './weave-spec.ts';

/**
 * What a loom weaves: an end is up at a pick when its shaft is one that the pick's treadle lifts.
 * Common practice of the trade.
 *
 * @throws CoreError "draft/shaft" {end, shaft, most} | "draft/treadle" {pick, treadle, most} |
 *         "draft/tieup" {treadle, shaft, most} | "weave/matrix"
 */
export function drawdown({ threading, tieup, treadling }: Draft): Interlacing {
  const ends = threading.length;
  const picks = treadling.length;
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
 * @throws CoreError "draft/too-many" {shafts, most}
 */
export function draftOf(structure: Interlacing): Draft {
  const kinds = threadKinds(structure);
  if (kinds.shafts > MAX_SHAFTS) {
    throw new CoreError('draft/too-many', { shafts: kinds.shafts, most: MAX_SHAFTS });
  }
  const shafts = Array.from({ length: kinds.shafts }, (_, shaft) => kinds.ends.indexOf(shaft + 1));
  const tieup = Array.from({ length: kinds.treadles }, (_, treadle) => {
    const row = kinds.picks.indexOf(treadle + 1) * structure.ends;
    return shafts.flatMap((end, shaft) => (structure.up[row + end] === 1 ? [shaft + 1] : []));
  });
  return { threading: [...kinds.ends], tieup, treadling: [...kinds.picks] };
}

/** A draft from the shafts that each pick lifts: a treadle for each different lift, in order of appearance. */
export function draftFromLifts(threading: readonly number[], lifts: readonly (readonly number[])[]): Draft {
  const known = new Map<string, number>();
  const tieup: (readonly number[])[] = [];
  const treadling = lifts.map((lift) => {
    const name = lift.join();
    const treadle = known.get(name) ?? known.size + 1;
    if (treadle > tieup.length) tieup.push(lift);
    known.set(name, treadle);
    return treadle;
  });
  return { threading, tieup, treadling };
}

/** Shafts that a draft needs, and treadles. */
export function draftSize({ threading, tieup }: Draft): { shafts: number; treadles: number } {
  const shafts = tieup.flat().reduce((most, shaft) => Math.max(most, shaft), Math.max(1, ...threading));
  return { shafts, treadles: tieup.length };
}
