import type { Grid } from '../../shape/grid.ts';
import type { Place } from '../../shape/places.ts';

/** Places of a repeat that are looked at first, wherever they lie. */
const SAMPLES = 96;

/** Parts of the grid by which places lie beside an edge, and from any edge that may be rounded to its other side. */
const BESIDE = 64;
const ROUNDED = 16;

/** Most places along an edge, and how many of them there are along one as long as the repeat. */
const MOST_ALONG = 8;
const ALONG = 64;

/** Bands across the repeat by which edges are found. */
const BANDS = 1024;

/** Outlines in one paint, wherever they come into a repeat, in parts of the grid. */
export interface PaintedCopy {
  /** Undefined for that of the ground. */
  readonly paint: string | undefined;
  readonly polygons: readonly (readonly Place[])[];
}

/** Whether a map of the grid's parts carries what is painted onto itself. */
export type IsCarried = (map: (place: Place) => Place) => boolean;

/**
 * Tells maps that carry painted copies onto themselves by places: some all over the repeat, and some on both sides of every
 * edge. Each has to come to lie in the paint that it lies in; a map that keeps areas carries every edge that is seen onto
 * an edge then. What is less than `BESIDE` parts wide is not told apart.
 *
 * @param copies  the uppermost first
 */
export function carriedBy(copies: readonly PaintedCopy[], grid: Grid): IsCarried {
  const { width, height } = grid;
  const painted = paintedIn(copies, grid);
  const fold = ({ x, y }: Place): Place => ({
    x: x - width * Math.floor(x / width),
    y: y - height * Math.floor(y / height),
  });
  const sample = (place: Place) => ({ place, paint: painted.paintAt(fold(place)) });
  const isNear = (place: Place) => {
    const { x, y } = fold(place);
    const border = Math.min(x, width - x, y, height - y);
    return border < ROUNDED || painted.isNearEdge({ x, y });
  };
  const everywhere = Array.from({ length: SAMPLES }, (_, at) =>
    sample({ x: Math.round(width * halton(at + 1, 2)), y: Math.round(height * halton(at + 1, 3)) }),
  );
  let beside: ReturnType<typeof sample>[] | undefined;
  return (map) => {
    const carries = ({ place, paint }: ReturnType<typeof sample>) => {
      const to = map(place);
      return painted.paintAt(fold(to)) === paint || isNear(to) || isNear(place);
    };
    if (!everywhere.every(carries)) return false;
    beside ??= placesBeside(copies, grid).map(sample);
    return beside.every(carries);
  };
}

/** Numbers of 0 … 1 that fill it evenly. J. H. Halton, Numerische Mathematik 2 (1960) 84–90. */
function halton(index: number, base: number): number {
  let part = 1;
  let value = 0;
  for (let rest = index; rest > 0; rest = Math.floor(rest / base)) {
    part /= base;
    value += part * (rest % base);
  }
  return value;
}

/** Places on both sides of every edge. */
function placesBeside(copies: readonly PaintedCopy[], { width, height }: Grid): readonly Place[] {
  const side = Math.max(width, height);
  return copies
    .flatMap(({ polygons }) => polygons)
    .flatMap((path) =>
      path.flatMap((to, at) => {
        const from = path.at(at - 1)!;
        const way = { x: to.x - from.x, y: to.y - from.y };
        const length = Math.hypot(way.x, way.y);
        if (length === 0) return [];
        const count = Math.max(1, Math.min(MOST_ALONG, Math.floor((ALONG * length) / side)));
        return Array.from({ length: count }, (_, step) => (step + 0.5) / count).flatMap((part) =>
          [BESIDE, -BESIDE].map((by) => ({
            x: from.x + part * way.x - (by * way.y) / length,
            y: from.y + part * way.y + (by * way.x) / length,
          })),
        );
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

/** What is painted at places of a repeat, its edges found by the bands that they run through. */
function paintedIn(copies: readonly PaintedCopy[], { height }: Grid) {
  const bands: InBand[][] = Array.from({ length: BANDS }, () => []);
  const bandOf = (y: number) => Math.min(BANDS - 1, Math.max(0, Math.floor((y / height) * BANDS)));
  for (const [copy, { polygons }] of copies.entries()) {
    for (const polygon of polygons) {
      for (const [at, to] of polygon.entries()) {
        const from = polygon.at(at - 1)!;
        const low = bandOf(Math.min(from.y, to.y) - ROUNDED);
        const high = bandOf(Math.max(from.y, to.y) + ROUNDED);
        for (let band = low; band <= high; band += 1) edgesIn(bands[band]!, copy).push({ from, to });
      }
    }
  }
  return {
    /** Undefined on the ground. */
    paintAt: (place: Place): string | undefined => {
      const found = bands[bandOf(place.y)]!.find(({ edges }) => isInside(place, edges));
      return found && copies[found.copy]!.paint;
    },
    isNearEdge: (place: Place): boolean =>
      bands[bandOf(place.y)]!.some(({ edges }) =>
        edges.some(({ from, to }) => distance(place, from, to) < ROUNDED),
      ),
  };
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
