import { Clipper64, ClipType, FillRule, type Paths64 } from 'clipper2-ts';
import { surdToNumber } from '../../exact/surd.ts';
import type { Marks, RepeatUnit } from '../../repeat/repeat-unit.ts';
import type { Figure } from '../../shape/figure.ts';
import type { Grid } from '../../shape/grid.ts';
import type { PicturePlace } from '../../shape/picture.ts';
import type { Place } from '../../shape/places.ts';
import { resolveFigure } from '../../shape/resolve-figure.ts';
import type { Mark, PlacedFigure } from '../../shape/shape.ts';
import { areaOfPaths, fineGrid, seenRegions } from './seen-regions.ts';
import { type MayBeKept, mayBeKept } from './sight-samples.ts';

/** Parts of the longer side of a repeat that what is seen is rounded to. */
const PARTS = 2 ** 20;

/** Parts of the grid by which chords may lie beside a curve, so that an edge may lie elsewhere where they begin elsewhere. */
const EDGE = 4;

/** A figure as far as it is told apart from others: what it is painted with, and where it lies, in millimetres. */
interface SeenFigure {
  readonly paint: string;
  readonly area: number;
  readonly middle: Place;
}

/** What is seen of a cloth, to be compared with itself carried elsewhere. */
export interface ClothSight {
  /** @param map  of millimetres, y upward; one that keeps lengths and the lattice */
  readonly isKeptBy: (map: (place: Place) => Place) => boolean;
}

function gridOf({ pitch }: RepeatUnit): Grid {
  return fineGrid({ x: surdToNumber(pitch.x), y: surdToNumber(pitch.y) }, PARTS);
}

/** The middles of the figures of the rarest kind, in millimetres. */
export function anchorsOf(unit: RepeatUnit<Marks>): readonly Place[] {
  const grid = gridOf(unit);
  const figures = unit.content.marks.flatMap((mark): readonly SeenFigure[] =>
    mark.shape.kind === 'figure' ? partsOf(mark.shape).map((part) => seenFigure(part, mark, unit, grid)) : [],
  );
  const kinds = alike(figures);
  const least = Math.min(...kinds.map(({ length }) => length));
  return kinds.find(({ length }) => length === least)?.map(({ middle }) => middle) ?? [];
}

/** Areas of like figures differ by their rounding, no more than by this part. */
const SAME_AREA = 1e-3;

/** Figures of the same paint and area. */
function alike(figures: readonly SeenFigure[]): readonly (readonly SeenFigure[])[] {
  const order = [...figures].sort((one, other) =>
    one.paint === other.paint ? one.area - other.area : one.paint < other.paint ? -1 : 1,
  );
  const kinds: SeenFigure[][] = [];
  for (const figure of order) {
    const last = kinds.at(-1);
    const before = last?.at(-1);
    const isNew =
      before === undefined ||
      before.paint !== figure.paint ||
      figure.area - before.area > SAME_AREA * figure.area;
    if (isNew) kinds.push([figure]);
    else last!.push(figure);
  }
  return kinds;
}

/** What goes on is one figure of parts, one for each box. */
function partsOf({ figure, endless }: PlacedFigure): readonly Figure[] {
  return endless && figure.kind === 'join' ? figure.parts : [figure];
}

function seenFigure(figure: Figure, mark: Mark, { content }: RepeatUnit<Marks>, grid: Grid): SeenFigure {
  const polygons = resolveFigure(figure, grid);
  let area = 0;
  let x = 0;
  let y = 0;
  for (const polygon of polygons) {
    for (let at = 0; at < polygon.length; at += 1) {
      const one = polygon[at]!;
      const other = polygon[at + 1 < polygon.length ? at + 1 : 0]!;
      const part = one.x * other.y - one.y * other.x;
      area += part;
      x += (one.x + other.x) * part;
      y += (one.y + other.y) * part;
    }
  }
  const middle = {
    x: x / (3 * area) / grid.scale.x,
    y: (grid.height - y / (3 * area)) / grid.scale.y,
  };
  return { paint: paintOf(mark, content), area: Math.abs(area), middle };
}

/** What is alike of marks that look alike, their outlines aside. */
function paintOf({ shade, fade, picture, soft }: Mark, { base }: Marks): string {
  const hexes = [...(fade?.shades ?? []), ...(shade === null ? [] : [shade])].map(
    (at) => base.shades[at]!.hex,
  );
  return [hexes.join(), picture?.name ?? '', soft?.deviation ?? '', soft?.strength ?? ''].join(' ');
}

/** Paths of one repeat that look alike, and how long their edges are. */
interface Sheet {
  readonly paths: Paths64;
  readonly area: number;
  readonly edges: number;
  readonly mayBeKept: MayBeKept;
}

/** Most corners of all that is seen. */
const MOST_CORNERS = 60_000;

/** Most repeats to each side that a repeat may be carried over. */
const MOST_REPEATS = 12;

/** @returns undefined where there is too much to be looked at */
export function sightOf(unit: RepeatUnit<Marks>): ClothSight | undefined {
  const grid = gridOf(unit);
  const sheets = sheetsOf(unit, grid);
  const corners = sheets.reduce((sum, { paths }) => sum + paths.flat().length, 0);
  const reach = Math.ceil(Math.hypot(grid.width, grid.height) / Math.min(grid.width, grid.height)) + 1;
  if (corners > MOST_CORNERS || reach > MOST_REPEATS) return undefined;
  const ways = waysOf(unit);
  return {
    isKeptBy: (map) =>
      ways.every((way) => isAmong(way, ways, map, grid.pitch)) &&
      sheets.every((sheet) => isKept(sheet, map, { grid, reach })),
  };
}

/** What is seen of each colour, and soft shadows, which colour what they lie on. */
function sheetsOf(unit: RepeatUnit<Marks>, grid: Grid): readonly Sheet[] {
  const { base, marks } = unit.content;
  const seen = new Map<string, Paths64>();
  const put = (name: string, paths: Paths64) => seen.set(name, [...(seen.get(name) ?? []), ...paths]);
  for (const { paths, parts } of seenRegions(unit, grid)) {
    const names = parts.map(({ shade }) => (typeof shade === 'number' ? base.shades[shade]!.hex : shade));
    put(names.join(), paths);
  }
  for (const mark of marks) {
    if (mark.shape.kind !== 'figure' || mark.soft === undefined) continue;
    const copies = partsOf(mark.shape).flatMap((part) => copiesIn(resolveFigure(part, grid), grid));
    put(`soft ${paintOf(mark, unit.content)}`, copies);
  }
  return [...seen.values()].map((paths) => sheetOf(within(paths, grid), grid));
}

function sheetOf(paths: Paths64, grid: Grid): Sheet {
  const edges = paths.reduce(
    (sum, path) =>
      sum +
      path.reduce((length, from, at) => {
        const to = path[at + 1 < path.length ? at + 1 : 0]!;
        return length + Math.hypot(to.x - from.x, to.y - from.y);
      }, 0),
    0,
  );
  return { paths, area: areaOfPaths(paths), edges, mayBeKept: mayBeKept(paths, grid) };
}

interface CarryRoom {
  readonly grid: Grid;
  /** Repeats to each side that may be carried into the first. */
  readonly reach: number;
}

/** Whether the map carries a sheet onto itself: as much of it lies on itself as it has, but for the rounding of its edges. */
function isKept(
  { paths, area, edges, mayBeKept: mayBe }: Sheet,
  map: (place: Place) => Place,
  { grid, reach }: CarryRoom,
): boolean {
  const { scale, width, height } = grid;
  const at = ({ x, y }: Place): Place => {
    const to = map({ x: x / scale.x, y: (height - y) / scale.y });
    return { x: Math.round(to.x * scale.x), y: Math.round(height - to.y * scale.y) };
  };
  if (!mayBe(at)) return false;
  const steps = Array.from({ length: 2 * reach + 1 }, (_, step) => step - reach);
  const carried = steps.flatMap((i) =>
    steps.flatMap((j) => {
      const box = [0, 1].flatMap((x) => [0, 1].map((y) => at({ x: (i + x) * width, y: (j + y) * height })));
      if (!touches(box, grid)) return [];
      return paths.map((path) => path.map(({ x, y }) => at({ x: x + i * width, y: y + j * height })));
    }),
  );
  const clipper = new Clipper64();
  clipper.addSubject(paths);
  clipper.addClip(carried);
  const both: Paths64 = [];
  clipper.execute(ClipType.Intersection, FillRule.NonZero, both);
  return area - areaOfPaths(both) <= EDGE * edges;
}

/** Whether the box round some places comes into the repeat. */
function touches(places: readonly Place[], { width, height }: Grid): boolean {
  const xs = places.map(({ x }) => x);
  const ys = places.map(({ y }) => y);
  return Math.min(...xs) < width && Math.max(...xs) > 0 && Math.min(...ys) < height && Math.max(...ys) > 0;
}

/** All copies of polygons that come into one repeat. */
function copiesIn(polygons: readonly (readonly Place[])[], { width, height }: Grid): Paths64 {
  return polygons.flatMap((polygon) => {
    const across = repeatsOver(
      polygon.map(({ x }) => x),
      width,
    );
    const down = repeatsOver(
      polygon.map(({ y }) => y),
      height,
    );
    return across.flatMap((i) =>
      down.map((j) => polygon.map(({ x, y }) => ({ x: x + i * width, y: y + j * height }))),
    );
  });
}

/** Repeats by which values are moved to come into the first. */
function repeatsOver(values: readonly number[], repeat: number): readonly number[] {
  const least = values.reduce((low, value) => Math.min(low, value), Infinity);
  const most = values.reduce((high, value) => Math.max(high, value), -Infinity);
  const first = -Math.floor(most / repeat);
  const last = -Math.floor(least / repeat);
  return Array.from({ length: last - first + 1 }, (_, at) => first + at);
}

/** What lies in one repeat, put together. */
function within(paths: Paths64, { width, height }: Grid): Paths64 {
  const clipper = new Clipper64();
  clipper.addSubject(paths);
  clipper.addClip([
    [
      { x: 0, y: 0 },
      { x: width, y: 0 },
      { x: width, y: height },
      { x: 0, y: height },
    ],
  ]);
  const made: Paths64 = [];
  clipper.execute(ClipType.Intersection, FillRule.NonZero, made);
  return made;
}

/** Where a fade or a picture lies: its places are to be carried onto those of another. */
interface PaintWay {
  readonly name: string;
  readonly places: readonly Place[];
}

function waysOf({ content }: RepeatUnit<Marks>): readonly PaintWay[] {
  return content.marks.flatMap((mark): readonly PaintWay[] => {
    const name = paintOf(mark, content);
    const way = mark.fade?.way;
    const fade = way === undefined ? [] : way.kind === 'along' ? [way.from, way.to] : [way.middle];
    const picture = mark.picture === undefined ? [] : cornersOf(mark.picture.place);
    return [fade, picture].filter(({ length }) => length > 0).map((places) => ({ name, places }));
  });
}

function cornersOf({ corner, across, down }: PicturePlace): readonly Place[] {
  return [corner, ...[across, down].map(({ x, y }) => ({ x: corner.x + x, y: corner.y + y }))];
}

/** Parts of a repeat within which places are the same. */
const NEAR = 1e-5;

function isAmong(
  { name, places }: PaintWay,
  ways: readonly PaintWay[],
  map: (place: Place) => Place,
  size: Place,
): boolean {
  const carried = places.map(map);
  return ways.some((other) => {
    if (other.name !== name || other.places.length !== places.length) return false;
    const [first] = carried;
    const shift = {
      x: Math.round((other.places[0]!.x - first!.x) / size.x) * size.x,
      y: Math.round((other.places[0]!.y - first!.y) / size.y) * size.y,
    };
    return carried.every(({ x, y }, at) => {
      const place = other.places[at]!;
      return (
        Math.abs(x + shift.x - place.x) < NEAR * size.x && Math.abs(y + shift.y - place.y) < NEAR * size.y
      );
    });
  });
}
