import { CoreError } from '../error.ts';
import type { Contour } from '../shape/contour.ts';
import { chordsOf } from '../shape/flatten.ts';
import type { Place } from '../shape/places.ts';

/** Most chords that are compared with each other. */
const MOST_CHORDS = 20_000;

interface Chord {
  readonly from: Place;
  readonly to: Place;
  /** Which contour it is of, and its number there. */
  readonly contour: number;
  readonly at: number;
  readonly count: number;
}

/**
 * Closed contours that cross neither themselves nor each other: what is inside is plain. Chords are taken along the axis that
 * fewer of them reach over, and compared with those that reach over the same place of it.
 * @param sagitta  most that a chord may lie beside its curve
 * @throws CoreError "path/crosses" {x, y} | "path/pieces" {pieces, most}
 */
export function checkSimple(contours: readonly Contour[], sagitta: number): void {
  const chords = contours.flatMap((contour, index) => {
    const places = withoutDoubles(chordsOf(contour, sagitta));
    return places.map((from, at): Chord => {
      const to = places[(at + 1) % places.length]!;
      return { from, to, contour: index, at, count: places.length };
    });
  });
  if (chords.length > MOST_CHORDS) {
    throw new CoreError('path/pieces', { pieces: chords.length, most: MOST_CHORDS });
  }
  const axis = lengthAlong(chords, 'x') <= lengthAlong(chords, 'y') ? 'x' : 'y';
  const place = firstCrossing(chords, axis);
  if (place !== undefined) throw new CoreError('path/crosses', place);
}

type Axis = 'x' | 'y';

/** How far all chords go along an axis. */
function lengthAlong(chords: readonly Chord[], axis: Axis): number {
  return chords.reduce((sum, { from, to }) => sum + Math.abs(to[axis] - from[axis]), 0);
}

/** A hot loop: a path of many long lines has many chords beside each other. */
function firstCrossing(chords: readonly Chord[], along: Axis): Place | undefined {
  const beside: Axis = along === 'x' ? 'y' : 'x';
  const startOf = ({ from, to }: Chord) => Math.min(from[along], to[along]);
  const sorted = chords.toSorted((one, other) => startOf(one) - startOf(other));
  const ends = Float64Array.from(sorted, ({ from, to }) => Math.max(from[along], to[along]));
  const low = Float64Array.from(sorted, ({ from, to }) => Math.min(from[beside], to[beside]));
  const high = Float64Array.from(sorted, ({ from, to }) => Math.max(from[beside], to[beside]));
  // Numbers of the chords that may still be met, in place: most have ended, or lie beside.
  const open = new Int32Array(sorted.length);
  let count = 0;
  for (const [at, chord] of sorted.entries()) {
    const start = startOf(chord);
    let kept = 0;
    for (let each = 0; each < count; each += 1) {
      const other = open[each]!;
      if (ends[other]! < start) continue;
      open[kept] = other;
      kept += 1;
      if (low[other]! > high[at]! || high[other]! < low[at]!) continue;
      if (isBeside(chord, sorted[other]!)) continue;
      const place = crossing(chord, sorted[other]!);
      if (place !== undefined) return place;
    }
    open[kept] = at;
    count = kept + 1;
  }
  return undefined;
}

function withoutDoubles(places: readonly Place[]): readonly Place[] {
  return places.filter((here, at) => {
    const next = places[(at + 1) % places.length]!;
    return here.x !== next.x || here.y !== next.y;
  });
}

/** Whether one chord ends where the other begins. */
function isBeside(one: Chord, other: Chord): boolean {
  if (one.contour !== other.contour) return false;
  const apart = Math.abs(one.at - other.at);
  return apart <= 1 || apart === one.count - 1;
}

/** Where two chords cross, not where one ends on the other. */
function crossing(one: Chord, other: Chord): Place | undefined {
  const a = { x: one.to.x - one.from.x, y: one.to.y - one.from.y };
  const b = { x: other.to.x - other.from.x, y: other.to.y - other.from.y };
  const turn = a.x * b.y - a.y * b.x;
  if (turn === 0) return undefined;
  const apart = { x: other.from.x - one.from.x, y: other.from.y - one.from.y };
  const along = (apart.x * b.y - apart.y * b.x) / turn;
  const beside = (apart.x * a.y - apart.y * a.x) / turn;
  const isWithin = (part: number) => part > TOUCHING && part < 1 - TOUCHING;
  if (!isWithin(along) || !isWithin(beside)) return undefined;
  return { x: one.from.x + along * a.x, y: one.from.y + along * a.y };
}

/** Part of a chord at its ends within which another only touches it. */
const TOUCHING = 1e-6;
