import { CoreError } from '../../error.ts';
import type { Place } from '../places.ts';
import { type JoinedLines, joinLines, type Strap } from './join-lines.ts';
import { meetingOf } from './link-meeting.ts';
import { nearPairs } from './link-pairs.ts';
import { type PassageRoom, passageRooms } from './passage-room.ts';
import type { StrapLine } from './strap-line.ts';
import { SAME_PLACE, type Step, type StrapTorus, stepped, TorusPlaces } from './strap-torus.ts';
import { type Link, placeAlong, type StrapWay, wayAlong, waysAt } from './strap-way.ts';

/** A strap on its way through a crossing. */
export interface Passage {
  readonly strap: number;
  /** Millimetres from the strap's start. */
  readonly along: number;
  /** Vectors of the lattice from where the crossing is noted to where the strap, as it is noted, comes through. */
  readonly step: Step;
}

/** Two straps, or one with itself, that go from one side of each other to the other. */
export interface StrapCrossing {
  readonly at: Place;
  readonly passages: readonly [Passage, Passage];
}

/** What is no crossing where straps meet. */
export interface StrapFlaw {
  /**
   * Both turn back, one ends on the other, three or more come through one place, two lie along each other; or crossings
   * are nearer to each other along a strap than the straps are wide.
   */
  readonly kind: 'touch' | 'end' | 'three' | 'along' | 'close';
  readonly at: Place;
}

/** Which of its crossing's passages a strap comes through. */
export interface RoutePlace {
  readonly crossing: number;
  readonly which: 0 | 1;
}

/** Straps on one cell of a lattice, and where they cross. */
export interface StrapNet {
  readonly torus: StrapTorus;
  readonly straps: readonly Strap[];
  readonly ways: readonly StrapWay[];
  readonly crossings: readonly StrapCrossing[];
  /** The crossings that each strap comes through, from its start on. */
  readonly routes: readonly (readonly RoutePlace[])[];
  /** Of the two passages of each crossing. */
  readonly rooms: readonly (readonly [PassageRoom, PassageRoom])[];
  readonly flaws: readonly StrapFlaw[];
}

/** Most crossings of one cell, and most straight pieces: so many chords has a curve. */
const MAX_CROSSINGS = 20_000;
const MAX_LINKS = 200_000;

/** @throws CoreError "straps/crossings" {most}; "straps/links" {links, most} */
export function strapNet(lines: readonly StrapLine[], torus: StrapTorus): StrapNet {
  const joined = joinLines(lines, torus);
  const ways = joined.straps.map(wayAlong);
  const { places, along } = meetingsOf(ways, torus);
  const at = new TorusPlaces(torus);
  const groups: Passage[][] = [];
  for (const [strap, lengths] of places.entries()) {
    for (const each of lengths) {
      const { index, step } = at.at(placeAlong(ways[strap]!, each, torus));
      groups[index] = [...(groups[index] ?? []), { strap, along: each, step }];
    }
  }
  const flaws: StrapFlaw[] = [
    ...along.map((place) => ({ kind: 'along' as const, at: place })),
    ...joined.forks.map((place) => ({ kind: 'end' as const, at: place })),
  ];
  const crossings: StrapCrossing[] = [];
  for (const [index, passages] of groups.entries()) {
    if (passages.length < 2) continue;
    const place = at.places[index]!;
    const kind = kindOfMeeting(passages, ways);
    if (kind === 'cross') crossings.push({ at: place, passages: passages as [Passage, Passage] });
    else if (kind !== 'joined') flaws.push({ kind, at: place });
  }
  if (crossings.length > MAX_CROSSINGS) throw new CoreError('straps/crossings', { most: MAX_CROSSINGS });
  const routes = routesOf(joined, crossings);
  const rooms = passageRooms(crossings, routes, ways);
  return { torus, straps: joined.straps, ways, crossings, routes, rooms, flaws };
}

function meetingsOf(ways: readonly StrapWay[], torus: StrapTorus) {
  const links = ways.flatMap((way) => way.links);
  if (links.length > MAX_LINKS) throw new CoreError('straps/links', { links: links.length, most: MAX_LINKS });
  const found = ways.map((): number[] => []);
  const along: Place[] = [];
  const put = (link: Link, part: number) => {
    found[link.strap]!.push(link.along + part * link.length);
  };
  for (const { one, other, step } of nearPairs(links, torus)) {
    const by = stepped(torus, { x: 0, y: 0 }, step);
    const meeting = meetingOf(pieceOf(one, ways), pieceOf(other, ways), { by, step, lattice: torus.lattice });
    if (meeting === undefined) continue;
    if (meeting.kind === 'along') {
      along.push(meeting.at);
      continue;
    }
    put(one, meeting.first);
    put(other, meeting.second);
  }
  const places = ways.map(({ strap, length }, index) => distinct(found[index]!, strap, length));
  return { places, along };
}

function pieceOf({ strap, at }: Link, ways: readonly StrapWay[]) {
  const { points } = ways[strap]!.strap;
  return { from: points[at]!, to: points[at + 1]! };
}

/** Lengths in order, those that are one left out; where a strap comes round, its end is its start. */
function distinct(lengths: readonly number[], { comes }: Strap, length: number): readonly number[] {
  const sorted = lengths
    .map((along) => (comes !== null && length - along <= SAME_PLACE ? 0 : along))
    .sort((one, other) => one - other);
  const kept: number[] = [];
  for (const along of sorted) {
    if (kept.length === 0 || along - kept.at(-1)! > 2 * SAME_PLACE) kept.push(along);
  }
  return kept;
}

/** Two passages cross where one of them comes from one side of the other and leaves to its other side. */
function kindOfMeeting(
  passages: readonly Passage[],
  ways: readonly StrapWay[],
): StrapFlaw['kind'] | 'cross' | 'joined' {
  if (passages.length > 2) return 'three';
  const [first, second] = passages.map(({ strap, along }) => waysAt(ways[strap]!, along)) as [Ways, Ways];
  const { comes, leaves } = first;
  if (comes === undefined || leaves === undefined) return hasEnd(second) ? 'joined' : 'end';
  if (second.comes === undefined || second.leaves === undefined) return 'end';
  const back = { x: -comes.x, y: -comes.y };
  const isLeft = (way: Place) => turnFrom(back, way) > turnFrom(back, leaves);
  return isLeft({ x: -second.comes.x, y: -second.comes.y }) === isLeft(second.leaves) ? 'touch' : 'cross';
}

type Ways = ReturnType<typeof waysAt>;

function hasEnd({ comes, leaves }: Ways): boolean {
  return comes === undefined || leaves === undefined;
}

/** The angle from one direction to another, counterclockwise, in 0 … 2π. */
function turnFrom(from: Place, to: Place): number {
  const angle = Math.atan2(from.x * to.y - from.y * to.x, from.x * to.x + from.y * to.y);
  return angle < 0 ? angle + 2 * Math.PI : angle;
}

function routesOf({ straps }: JoinedLines, crossings: readonly StrapCrossing[]): StrapNet['routes'] {
  const routes = straps.map((): (RoutePlace & { along: number })[] => []);
  for (const [crossing, { passages }] of crossings.entries()) {
    for (const which of [0, 1] as const) {
      const { strap, along } = passages[which];
      routes[strap]!.push({ crossing, which, along });
    }
  }
  return routes.map((route) =>
    route.sort((one, other) => one.along - other.along).map(({ crossing, which }) => ({ crossing, which })),
  );
}
