import type { Bent } from '../bend/bent.ts';
import { CoreError } from '../error.ts';
import type { Contour } from '../shape/contour.ts';
import { chordsOf } from '../shape/flatten.ts';
import type { Place } from '../shape/places.ts';

/** Times that a chord is halved at the least and at the most. */
const FEWEST = 2;
const MOST = 10;

/** A line as it lies when it is bent: its corners, the first not again at the end of a closed one. */
export interface BentLine {
  readonly places: readonly Place[];
  readonly closed: boolean;
}

/**
 * A contour as it lies when what it is drawn on is bent, in chords.
 * @param bent       moves outlines; undefined for what lies flat
 * @param at         by which all of it is moved afterwards
 * @param tolerance  most that a chord may lie beside its curve, in millimetres
 * @throws CoreError "bend/perspective" {x, y} where it would be seen from behind
 */
export function bentLine(
  contour: Contour,
  {
    bent,
    at,
    tolerance,
  }: { readonly bent: Bent | undefined; readonly at: Place; readonly tolerance: number },
): BentLine {
  const chords = chordsOf(contour, tolerance);
  const { closed } = contour;
  const out = new Float64Array(2);
  const there = ({ x, y }: Place): Place => {
    if (bent === undefined) return { x: x + at.x, y: y + at.y };
    bent.there(x, y, out);
    if (!Number.isFinite(out[0]! + out[1]!)) throw new CoreError('bend/perspective', { x, y });
    return { x: out[0]! + at.x, y: out[1]! + at.y };
  };
  const first = chords[0]!;
  const last = chords.at(-1)!;
  // Letters end where they begin; that corner is one.
  const isRound = closed && chords.length > 1 && first.x === last.x && first.y === last.y;
  const corners = isRound ? chords.slice(0, -1) : chords;
  if (bent === undefined) return { places: corners.map(there), closed };
  const places: Place[] = [];
  const ends = closed ? corners.length : corners.length - 1;
  for (let side = 0; side < ends; side += 1) {
    const from = corners[side]!;
    const to = corners[(side + 1) % corners.length]!;
    const start = there(from);
    places.push(start);
    halve({ flat: from, seen: start }, { flat: to, seen: there(to) }, 0);
  }
  if (!closed) places.push(there(corners.at(-1)!));
  return { places, closed };

  /** Puts the places between two ends, so many as a curve between them needs. */
  function halve(from: Bending, to: Bending, depth: number): void {
    const flat = { x: (from.flat.x + to.flat.x) / 2, y: (from.flat.y + to.flat.y) / 2 };
    const seen = there(flat);
    const chord = { x: (from.seen.x + to.seen.x) / 2, y: (from.seen.y + to.seen.y) / 2 };
    const isNear = Math.hypot(seen.x - chord.x, seen.y - chord.y) <= tolerance;
    if (depth >= MOST || (isNear && depth >= FEWEST)) return;
    halve(from, { flat, seen }, depth + 1);
    places.push(seen);
    halve({ flat, seen }, to, depth + 1);
  }
}

interface Bending {
  readonly flat: Place;
  readonly seen: Place;
}
