import { latticePoint } from '../../exact/lattice.ts';
import { addPoints } from '../../exact/plane.ts';
import type { Place } from '../places.ts';
import type { StrapLine, StrapName, StrapPoint } from './strap-line.ts';
import {
  addSteps,
  lessSteps,
  NO_STEP,
  type Step,
  type StrapTorus,
  stepped,
  TorusPlaces,
} from './strap-torus.ts';

/** Lines that go on into each other, as one. */
export interface Strap {
  /** That of its first line. */
  readonly name: StrapName;
  readonly style: number;
  /** Where it comes round, its last point is its first one, moved by so many vectors of the lattice. */
  readonly points: readonly StrapPoint[];
  /** By how many vectors it has moved when it comes round; null where it has two ends. */
  readonly comes: Step | null;
}

/** Straps, and places where more than two ends of lines meet: none of those goes on into another. */
export interface JoinedLines {
  readonly straps: readonly Strap[];
  readonly forks: readonly Place[];
}

/** An end of a line. */
interface LineEnd {
  readonly line: number;
  readonly atStart: boolean;
  /** Vectors from where its place was first met to where the end lies. */
  readonly step: Step;
  /** From the end into the line. */
  readonly way: Place;
}

/**
 * Joins open lines of one style where they meet on the torus: a line that goes on with itself, then ends that lie straight
 * opposite, then two that are left.
 */
export function joinLines(lines: readonly StrapLine[], torus: StrapTorus): JoinedLines {
  const { partners, forks } = pairedEnds(lines, torus);
  const used = new Set<number>();
  const follow = (first: number, backward: boolean): Strap => {
    const points: StrapPoint[] = [];
    let line = first;
    let isReversed = backward;
    let step = NO_STEP;
    for (;;) {
      used.add(line);
      const moved = movedPoints(lines[line]!.points, step, torus);
      const ordered = isReversed ? [...moved].reverse() : moved;
      points.push(...(points.length === 0 ? ordered : ordered.slice(1)));
      const pair = partners.get(endName({ line, atStart: isReversed }));
      if (pair === undefined) return { ...named(lines[first]!), points, comes: null };
      step = addSteps(step, lessSteps(pair.here.step, pair.next.step));
      line = pair.next.line;
      isReversed = !pair.next.atStart;
      if (line === first) return { ...named(lines[first]!), points, comes: step };
    }
  };
  const straps = new Map<number, Strap>();
  for (const [line, each] of lines.entries()) {
    if (each.run !== 'closed') continue;
    used.add(line);
    straps.set(line, { ...named(each), points: [...each.points, each.points[0]!], comes: NO_STEP });
  }
  const isFree = (line: number, atStart: boolean) => !partners.has(endName({ line, atStart }));
  // Those that have an end are followed from it; what is then left comes round.
  for (const hasEnd of [true, false]) {
    for (const line of lines.keys()) {
      if (used.has(line)) continue;
      const startsFree = isFree(line, true);
      if (hasEnd && !startsFree && !isFree(line, false)) continue;
      straps.set(line, follow(line, hasEnd && !startsFree));
    }
  }
  return { straps: [...straps].sort(([one], [other]) => one - other).map(([, strap]) => strap), forks };
}

/** Two ends that meet, seen from one of them. */
interface EndPair {
  readonly here: LineEnd;
  readonly next: LineEnd;
}

function pairedEnds(lines: readonly StrapLine[], torus: StrapTorus) {
  const places = new TorusPlaces(torus);
  const meetings = new Map<string, { place: Place; ends: LineEnd[] }>();
  for (const [line, { points, run, style }] of lines.entries()) {
    if (run === 'closed') continue;
    for (const atStart of [true, false]) {
      const { place } = points.at(atStart ? 0 : -1)!;
      const { index, step } = places.at(place);
      const way = wayFrom(place, points.at(atStart ? 1 : -2)!.place);
      const name = `${style} ${index}`;
      const meeting = meetings.get(name) ?? { place, ends: [] };
      meeting.ends.push({ line, atStart, step, way });
      meetings.set(name, meeting);
    }
  }
  const partners = new Map<string, EndPair>();
  const forks: Place[] = [];
  for (const { place, ends } of meetings.values()) {
    let free = ends;
    const pair = (here: LineEnd, next: LineEnd) => {
      partners.set(endName(here), { here, next });
      partners.set(endName(next), { here: next, next: here });
      free = free.filter((end) => end !== here && end !== next);
    };
    for (const here of ends) {
      const own = free.find((end) => end.line === here.line && end !== here);
      if (free.includes(here) && own !== undefined && lines[here.line]!.run === 'onward') pair(here, own);
    }
    for (const here of ends) {
      const opposite = free.find((end) => isOpposite(here.way, end.way));
      if (free.includes(here) && opposite !== undefined && free.length > 2) pair(here, opposite);
    }
    const [here, next, ...others] = free;
    if (next !== undefined && others.length === 0) pair(here!, next);
    if (others.length > 0) forks.push(place);
  }
  return { partners, forks };
}

function wayFrom(from: Place, to: Place): Place {
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  return { x: (to.x - from.x) / length, y: (to.y - from.y) / length };
}

/** Sine within which two ends lie straight opposite. */
const STRAIGHT = 1e-7;

function isOpposite(one: Place, other: Place): boolean {
  return one.x * other.x + one.y * other.y < 0 && Math.abs(one.x * other.y - one.y * other.x) < STRAIGHT;
}

function endName({ line, atStart }: Pick<LineEnd, 'line' | 'atStart'>): string {
  return `${line} ${atStart}`;
}

function named({ name, style }: StrapLine): Pick<Strap, 'name' | 'style'> {
  return { name, style };
}

function movedPoints(points: readonly StrapPoint[], step: Step, torus: StrapTorus): readonly StrapPoint[] {
  if (step[0] === 0 && step[1] === 0) return points;
  const by = latticePoint(torus.lattice, step);
  return points.map(({ place, exact }) => ({
    place: stepped(torus, place, step),
    exact: exact && addPoints(exact, by),
  }));
}
