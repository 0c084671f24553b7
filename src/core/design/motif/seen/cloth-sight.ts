import { surdToNumber } from '../../../exact/surd.ts';
import type { Marks, RepeatUnit } from '../../../repeat/repeat-unit.ts';
import type { Figure } from '../../../shape/figure.ts';
import type { Grid } from '../../../shape/grid.ts';
import type { PicturePlace } from '../../../shape/picture.ts';
import type { Place } from '../../../shape/places.ts';
import { resolveFigure } from '../../../shape/resolve-figure.ts';
import type { Mark, PlacedFigure } from '../../../shape/shape.ts';
import { copiesFromTop, fineGrid, type SeenShade } from './seen-regions.ts';
import { carriedBy, type PaintedCopy } from './sight-samples.ts';

/** Parts of the longer side of a repeat that what is seen is rounded to. */
const PARTS = 2 ** 20;

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

/** Most corners of all copies. */
const MOST_CORNERS = 60_000;

/** @returns undefined where there is too much to be looked at */
export function sightOf(unit: RepeatUnit<Marks>): ClothSight | undefined {
  const grid = gridOf(unit);
  const sheets = sheetsOf(unit, grid);
  if (cornersOf(sheets.flat()) > MOST_CORNERS) return undefined;
  const ways = waysOf(unit);
  const carried = sheets.map((copies) => carriedBy(copies, grid));
  const { scale, height } = grid;
  return {
    isKeptBy: (map) => {
      const inParts = ({ x, y }: Place): Place => {
        const to = map({ x: x / scale.x, y: (height - y) / scale.y });
        return { x: to.x * scale.x, y: height - to.y * scale.y };
      };
      return (
        ways.every((way) => isAmong(way, ways, map, grid.pitch)) &&
        carried.every((isCarried) => isCarried(inParts))
      );
    },
  };
}

function cornersOf(copies: readonly PaintedCopy[]): number {
  return copies.reduce(
    (sum, { polygons }) => sum + polygons.reduce((corners, { length }) => corners + length, 0),
    0,
  );
}

/** What covers, and each sort of soft shadow, which colours what it lies on. */
function sheetsOf(unit: RepeatUnit<Marks>, grid: Grid): readonly (readonly PaintedCopy[])[] {
  const { base, marks } = unit.content;
  const nameOf = (shade: SeenShade) => (typeof shade === 'number' ? base.shades[shade]!.hex : shade);
  const { fill } = base.faces[0]!;
  const ground = nameOf(fill.kind === 'clear' ? 'clear' : fill.shade);
  const covering = copiesFromTop(unit.content, grid).map(({ shades, polygons }) => {
    const paint = shades.map(nameOf).join();
    return { paint: paint === ground ? undefined : paint, polygons };
  });
  const soft = new Map<string, PaintedCopy[]>();
  for (const mark of marks) {
    if (mark.shape.kind !== 'figure' || mark.soft === undefined) continue;
    const paint = `soft ${paintOf(mark, unit.content)}`;
    const copies = partsOf(mark.shape).map((part) => ({
      paint,
      polygons: copiesIn(resolveFigure(part, grid), grid),
    }));
    soft.set(paint, [...(soft.get(paint) ?? []), ...copies]);
  }
  return [covering, ...soft.values()];
}

/** All copies of polygons that come into one repeat. */
function copiesIn(polygons: readonly (readonly Place[])[], { width, height }: Grid) {
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
    const picture = mark.picture === undefined ? [] : pictureCorners(mark.picture.place);
    return [fade, picture].filter(({ length }) => length > 0).map((places) => ({ name, places }));
  });
}

function pictureCorners({ corner, across, down }: PicturePlace): readonly Place[] {
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
