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
 * Closed contours that cross neither themselves nor each other: what is inside is plain. Chords are taken from left to right,
 * and compared with those that reach over the same x.
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
  const sorted = chords.toSorted((one, other) => leftOf(one) - leftOf(other));
  let open: Chord[] = [];
  for (const chord of sorted) {
    const left = leftOf(chord);
    open = open.filter((other) => Math.max(other.from.x, other.to.x) >= left);
    for (const other of open) {
      if (isBeside(chord, other)) continue;
      const place = crossing(chord, other);
      if (place !== undefined) throw new CoreError('path/crosses', place);
    }
    open.push(chord);
  }
}

function leftOf({ from, to }: Chord): number {
  return Math.min(from.x, to.x);
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
