import type { Grid } from '../../../shape/grid.ts';
import type { Place } from '../../../shape/places.ts';

/** Most places along an edge, and how many of them there are along one as long as the repeat. */
const MOST_ALONG = 8;
const ALONG = 64;

/** Bands across the repeat by which edges are found. */
const BANDS = 1024;

/** Outlines wherever they come into a repeat, in parts of the grid. */
export interface OutlinedCopy {
  readonly polygons: readonly (readonly Place[])[];
}

/** A place to either side of an edge. */
export interface BesideEdge {
  readonly left: Place;
  readonly right: Place;
}

/** Places along every edge, and so many parts to both sides of it. */
export function placesBeside(
  copies: readonly OutlinedCopy[],
  { width, height }: Grid,
  by: number,
): readonly BesideEdge[] {
  const side = Math.max(width, height);
  const paths = copies.flatMap(({ polygons }) => polygons);
  return paths.flatMap((path) =>
    path.flatMap((to, at) => {
      const from = path.at(at - 1)!;
      const way = { x: to.x - from.x, y: to.y - from.y };
      const length = Math.hypot(way.x, way.y);
      if (length === 0) return [];
      const count = Math.max(1, Math.min(MOST_ALONG, Math.floor((ALONG * length) / side)));
      const aside = (part: number, distance: number): Place => ({
        x: from.x + part * way.x - (distance * way.y) / length,
        y: from.y + part * way.y + (distance * way.x) / length,
      });
      return Array.from({ length: count }, (_, step) => (step + 0.5) / count).map((part) => ({
        left: aside(part, by),
        right: aside(part, -by),
      }));
    }),
  );
}

interface Edge {
  readonly from: Place;
  readonly to: Place;
}

/** The edges of a copy that run through a band of the repeat. */
interface InBand {
  readonly copy: number;
  readonly edges: Edge[];
}

/** Which of some copies lies uppermost at a place of the repeat. */
export interface Uppermost {
  /** By its number; undefined where none lies. */
  readonly at: (place: Place) => number | undefined;
  /** Whether any edge is nearer than is told apart. */
  readonly isNearEdge: (place: Place) => boolean;
}

/**
 * Finds edges by the bands of the repeat that they run through.
 * @param copies  the uppermost first
 * @param near    parts of the grid
 */
export function uppermostOf(copies: readonly OutlinedCopy[], { height }: Grid, near: number): Uppermost {
  const bands: InBand[][] = Array.from({ length: BANDS }, () => []);
  const bandOf = (y: number) => Math.min(BANDS - 1, Math.max(0, Math.floor((y / height) * BANDS)));
  for (const [copy, { polygons }] of copies.entries()) {
    for (const polygon of polygons) {
      for (const [at, to] of polygon.entries()) {
        const from = polygon.at(at - 1)!;
        const low = bandOf(Math.min(from.y, to.y) - near);
        const high = bandOf(Math.max(from.y, to.y) + near);
        for (let band = low; band <= high; band += 1) edgesIn(bands[band]!, copy).push({ from, to });
      }
    }
  }
  return {
    at: (place) => bands[bandOf(place.y)]!.find(({ edges }) => isInside(place, edges))?.copy,
    isNearEdge: (place) =>
      bands[bandOf(place.y)]!.some(({ edges }) =>
        edges.some(({ from, to }) => distance(place, from, to) < near),
      ),
  };
}

/** A place moved by whole repeats into the first. */
export function folded({ x, y }: Place, { width, height }: Grid): Place {
  return { x: x - width * Math.floor(x / width), y: y - height * Math.floor(y / height) };
}

/** Those of the copy that came last, or of one more. */
function edgesIn(band: InBand[], copy: number): Edge[] {
  if (band.at(-1)?.copy !== copy) band.push({ copy, edges: [] });
  return band.at(-1)!.edges;
}

/** By how often outlines go round a place, counted along a level line to the right. */
function isInside({ x, y }: Place, edges: readonly Edge[]): boolean {
  let rounds = 0;
  for (const { from, to } of edges) {
    if (from.y > y === to.y > y) continue;
    if (x < from.x + ((y - from.y) / (to.y - from.y)) * (to.x - from.x)) rounds += to.y > y ? 1 : -1;
  }
  return rounds !== 0;
}

/** From a place to a piece of a line. */
function distance(place: Place, from: Place, to: Place): number {
  const along = { x: to.x - from.x, y: to.y - from.y };
  const square = along.x ** 2 + along.y ** 2;
  const away = { x: place.x - from.x, y: place.y - from.y };
  const part = square === 0 ? 0 : (away.x * along.x + away.y * along.y) / square;
  const within = Math.min(1, Math.max(0, part));
  return Math.hypot(away.x - within * along.x, away.y - within * along.y);
}
