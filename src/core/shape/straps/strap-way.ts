import type { Place } from '../places.ts';
import type { Strap } from './join-lines.ts';
import { NO_STEP, type Step, type StrapTorus, stepped } from './strap-torus.ts';

/** A straight piece of a strap's middle line. */
export interface Link {
  readonly strap: number;
  /** Which of the strap's pieces. */
  readonly at: number;
  readonly from: Place;
  readonly to: Place;
  /** Millimetres from the strap's start to the piece's. */
  readonly along: number;
  readonly length: number;
}

/** A strap by how far along it a place lies; where it comes round, it goes on both ways without end. */
export interface StrapWay {
  readonly strap: Strap;
  readonly links: readonly Link[];
  readonly length: number;
}

export function wayAlong(strap: Strap, index: number): StrapWay {
  let along = 0;
  const links = strap.points.slice(1).map(({ place: to }, at): Link => {
    const { place: from } = strap.points[at]!;
    const length = Math.hypot(to.x - from.x, to.y - from.y);
    const link = { strap: index, at, from, to, along, length };
    along += length;
    return link;
  });
  return { strap, links, length: along };
}

/** Which piece a length along a strap lies on; where two meet, the later. */
export function linkAt({ links }: StrapWay, along: number): Link {
  let low = 0;
  let high = links.length - 1;
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if (links[middle]!.along <= along) low = middle;
    else high = middle - 1;
  }
  return links[low]!;
}

/** A length along a strap within its first round, and the rounds that were left out. */
export function firstRound({ strap, length }: StrapWay, along: number): { along: number; rounds: number } {
  if (strap.comes === null) return { along: Math.min(length, Math.max(0, along)), rounds: 0 };
  const rounds = Math.floor(along / length);
  return { along: along - rounds * length, rounds };
}

export function roundStep({ strap }: StrapWay, rounds: number): Step {
  const [i, j] = strap.comes ?? NO_STEP;
  return [rounds * i + 0, rounds * j + 0];
}

/** Where a length along a strap lies. */
export function placeAlong(way: StrapWay, along: number, torus: StrapTorus): Place {
  const round = firstRound(way, along);
  const { from, to, along: start, length } = linkAt(way, round.along);
  const part = length === 0 ? 0 : (round.along - start) / length;
  const place = { x: from.x + part * (to.x - from.x), y: from.y + part * (to.y - from.y) };
  return stepped(torus, place, roundStep(way, round.rounds));
}

/** The direction in which a strap comes to a place, and in which it leaves it; undefined where it has an end. */
export function waysAt(
  way: StrapWay,
  along: number,
): { comes: Place | undefined; leaves: Place | undefined } {
  const { links, strap, length } = way;
  const link = linkAt(way, along);
  const isAtCorner = along - link.along <= NEAR;
  const isAtEnd = strap.comes === null && length - along <= NEAR;
  const before = isAtCorner
    ? (links[link.at - 1] ?? (strap.comes === null ? undefined : links.at(-1)))
    : link;
  return { comes: before && directionOf(before), leaves: isAtEnd ? undefined : directionOf(link) };
}

/** Millimetres within which a length along a strap is at a corner. */
const NEAR = 1e-6;

export function directionOf({ from, to, length }: Link): Place {
  return { x: (to.x - from.x) / length, y: (to.y - from.y) / length };
}

/** The middle line between two lengths along a strap. */
export function stretchOf(way: StrapWay, from: number, to: number, torus: StrapTorus): readonly Place[] {
  const { strap, links, length } = way;
  const first = firstRound(way, from);
  const last = firstRound(way, to);
  const places = [placeAlong(way, from, torus)];
  const rounds = strap.comes === null ? 0 : last.rounds - first.rounds;
  for (let round = 0; round <= rounds; round += 1) {
    const begins = round === 0 ? first.along : -1;
    const ends = round === rounds ? last.along : length;
    const step = roundStep(way, first.rounds + round);
    for (const link of links) {
      const end = link.along + link.length;
      if (end > begins + NEAR && end < ends - NEAR) places.push(stepped(torus, link.to, step));
      // Where it comes round, the place is a corner as any other.
      else if (round < rounds && link.at === links.length - 1) places.push(stepped(torus, link.to, step));
    }
  }
  places.push(placeAlong(way, to, torus));
  return places.filter((place, at) => {
    const before = places[at - 1];
    return before === undefined || Math.hypot(place.x - before.x, place.y - before.y) > NEAR / 10;
  });
}

/** Cosine of a turn above which a corner is sharp. */
const SHARP = Math.cos(Math.PI / 9);

/** The middle of the longest piece without a sharp corner between two lengths along a strap, and half of its length. */
export function restingPlace(
  { strap, links, length }: StrapWay,
  from: number,
  to: number,
): { readonly along: number; readonly room: number } {
  const first = strap.comes === null ? 0 : Math.floor(from / length);
  const last = strap.comes === null ? 0 : Math.floor(to / length);
  const corners = [from];
  for (let round = first; round <= last; round += 1) {
    for (const link of links) {
      const before = links[link.at - 1] ?? links.at(-1)!;
      const along = link.along + round * length;
      if (along > from && along < to && turnBetween(before, link) < SHARP) corners.push(along);
    }
  }
  corners.push(to);
  let best = { along: (from + to) / 2, room: 0 };
  for (const [at, end] of corners.entries()) {
    const start = corners[at - 1] ?? end;
    if (end - start > 2 * best.room) best = { along: (start + end) / 2, room: (end - start) / 2 };
  }
  return best;
}

/** Cosine of the turn from one piece to the next. */
function turnBetween(one: Link, other: Link): number {
  const from = directionOf(one);
  const to = directionOf(other);
  return from.x * to.x + from.y * to.y;
}
