import { addPoints, middleOf, type Point, scalePoint, subtractPoints } from '../exact/plane.ts';
import { gcd, type Rational, rational } from '../exact/rational.ts';
import { compareSurds, surd } from '../exact/surd.ts';
import type { LinePath } from '../shape/shape.ts';
import { chainEdges, type TorusEdge } from './chains.ts';
import { cornerAt, edgeName, type TorusFaces } from './check-partition.ts';

/** Which lines are drawn over a tiling. */
export interface LineWish {
  /** Sides of faces; from middles of faces to corners, or to middles of sides; middles of sides joined. */
  readonly what: 'sides' | 'spokes' | 'rays' | 'stars';
  /** Sides between faces of two numbers of sides, "4|8", or lines in faces of one, "8"; null for all. */
  readonly of: string | null;
  /** So many dashes a line, each that share of its place long; null for whole lines. */
  readonly dashes: { readonly count: number; readonly share: Rational } | null;
  /** For stars: how many middles further on each is joined to. */
  readonly skip: number;
  /** For spokes and rays: to every so many, from the first, 0 being the highest; counterclockwise. */
  readonly every: number;
  readonly first: number;
}

/** Where lines are drawn. */
export interface LineRoom {
  /** Lengths of one repeat, for the angles at which sides meet. */
  readonly pitch: { readonly x: number; readonly y: number };
  /** The corners of what is seen of a face, by its number, in repeats; left out, all of it. */
  readonly seenOf?: (face: number) => readonly Point[] | undefined;
}

/**
 * The lines as paths in repeats. Sides are those of the faces; what lies within a face is drawn from what is seen of it.
 * @param torus  faces on the torus of one upright repeat
 */
export function faceLines(
  torus: TorusFaces,
  { what, of, dashes, skip, every, first }: LineWish,
  { pitch, seenOf }: LineRoom,
): readonly LinePath[] {
  if (what === 'sides') {
    const edges = sidesOfKind(torus, of);
    if (dashes === null) return chainEdges(torus, edges, pitch);
    return edges.flatMap(([from, to]) => dashed(cornerAt(torus, from), cornerAt(torus, to), dashes));
  }
  const cornersOf = (face: number) =>
    seenOf === undefined ? torus.faces[face]!.corners.map((corner) => cornerAt(torus, corner)) : seenOf(face);
  const paths = torus.faces.flatMap(({ corners }, face) => {
    if (of !== null && String(corners.length) !== of) return [];
    const seen = cornersOf(face);
    return seen === undefined ? [] : IN_FACE[what](linedFace(seen, { skip, every, first }));
  });
  if (dashes === null) return paths;
  return paths.flatMap(({ points, closed }) =>
    points.flatMap((point, at) => {
      const next = points[at + 1] ?? (closed ? points[0] : undefined);
      return next === undefined ? [] : dashed(point, next, dashes);
    }),
  );
}

/** The kinds of sides of a tiling, "4|8" for one between a square and an octagon, the smaller first. */
export function sideKinds(torus: TorusFaces): readonly string[] {
  return [...new Set(edgesByName(torus).map(({ kind }) => kind))].sort((a, b) => numeric(a) - numeric(b));
}

function numeric(kind: string): number {
  const [a, b] = kind.split('|').map(Number) as [number, number];
  return a * 1000 + b;
}

function sidesOfKind(torus: TorusFaces, of: string | null): readonly TorusEdge[] {
  return edgesByName(torus)
    .filter(({ kind }) => of === null || kind === of)
    .map(({ edge }) => edge);
}

/** Each edge once, with the numbers of sides of its two faces. */
function edgesByName({ faces }: TorusFaces): readonly { edge: TorusEdge; kind: string }[] {
  const known = new Map<string, { edge: TorusEdge; sides: number[] }>();
  for (const { corners } of faces) {
    corners.forEach((from, at) => {
      const to = corners[(at + 1) % corners.length]!;
      const [name] = edgeName(from, to);
      const entry = known.get(name) ?? { edge: [from, to] as const, sides: [] };
      entry.sides.push(corners.length);
      known.set(name, entry);
    });
  }
  return [...known.values()].map(({ edge, sides }) => ({
    edge,
    kind: sides.sort((a, b) => a - b).join('|'),
  }));
}

/** A face as its lines are made from it. */
interface LinedFace {
  readonly corners: readonly Point[];
  readonly middle: Point;
  /** Middles of its sides. */
  readonly middles: readonly Point[];
  readonly steps: Steps;
}

type Steps = Pick<LineWish, 'skip' | 'every' | 'first'>;

/** What is drawn in each face by itself. */
const IN_FACE: Readonly<
  Record<Exclude<LineWish['what'], 'sides'>, (face: LinedFace) => readonly LinePath[]>
> = {
  spokes: ({ middle, corners, steps }) => everyOne(corners, steps).map((corner) => open(middle, corner)),
  rays: ({ middle, middles, steps }) => everyOne(middles, steps).map((point) => open(middle, point)),
  stars: ({ middles, steps }) => stars(middles, steps.skip),
};

function linedFace(corners: readonly Point[], steps: Steps): LinedFace {
  const middles = corners.map((corner, at) => middleOf([corner, corners[(at + 1) % corners.length]!]));
  return { corners, middle: middleOf(corners), middles, steps };
}

/** Every so many of some points round a face, counted from the highest; of two as high, from the left one. */
function everyOne(points: readonly Point[], { every, first }: Steps): readonly Point[] {
  const highest = points.reduce((best, { x, y }, at) => {
    const up = compareSurds(y, points[best]!.y);
    return up > 0 || (up === 0 && compareSurds(x, points[best]!.x) < 0) ? at : best;
  }, 0);
  return points.filter((_, at) => {
    const place = (at - highest - first) % points.length;
    return ((place + points.length) % points.length) % every === 0;
  });
}

function open(from: Point, to: Point): LinePath {
  return { points: [from, to], closed: false };
}

/** Every point joined to the one `skip` further on: as many closed lines as the number of points and the skip share divisors. */
function stars(points: readonly Point[], skip: number): readonly LinePath[] {
  const step = skip % points.length;
  // Half way round, lines go to and fro between two points.
  if (step === 0) return [];
  if (2 * step === points.length) {
    return points.slice(0, step).map((point, at) => open(point, points[at + step]!));
  }
  const rounds = Number(gcd(BigInt(points.length), BigInt(step)));
  return Array.from({ length: rounds }, (_, first) => ({
    points: Array.from(
      { length: points.length / rounds },
      (_, at) => points[(first + at * step) % points.length]!,
    ),
    closed: true,
  }));
}

/** A line cut into dashes, each in the middle of its place. */
function dashed(
  from: Point,
  to: Point,
  { count, share }: NonNullable<LineWish['dashes']>,
): readonly LinePath[] {
  const way = subtractPoints(to, from);
  const at = (part: Rational) => addPoints(from, scalePoint(way, surd(part)));
  // Of a place from k to k + 1 the dash takes (1 − share)/2 … (1 + share)/2.
  const { n, d } = share;
  const halves = 2n * d * BigInt(count);
  return Array.from({ length: count }, (_, place) => {
    const start = 2n * d * BigInt(place);
    return open(at(rational(start + d - n, halves)), at(rational(start + d + n, halves)));
  });
}
