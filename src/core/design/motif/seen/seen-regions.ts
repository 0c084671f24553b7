import { Clipper64, ClipType, FillRule, type Paths64 } from 'clipper2-ts';
import { surdToNumber } from '../../../exact/surd.ts';
import { paintedBefore, repeatsInto } from '../../../repeat/copy-order.ts';
import type { Marks, RepeatUnit } from '../../../repeat/repeat-unit.ts';
import type { Grid } from '../../../shape/grid.ts';
import { areaOfPlaces, type Place } from '../../../shape/places.ts';
import { resolveEndless, resolveFigure } from '../../../shape/resolve-figure.ts';

/** Parts of the longer side of a repeat that regions are rounded to: a share is right to some millionths. */
const PARTS = 2 ** 20;

/** A shade by its index, a picture, or nothing. */
export type SeenShade = number | 'picture' | 'clear';

/** A part of the cloth that is seen of one mark, or of the ground, and what each shade has of it. */
export interface SeenRegion {
  readonly paths: Paths64;
  readonly parts: readonly { readonly shade: SeenShade; readonly part: number }[];
  /** Whether it is what lies beneath all pieces. */
  readonly isGround: boolean;
}

/** Parts of a repeat that regions are rounded to. @param parts  of its longer side */
export function fineGrid(size: Place, parts = PARTS): Grid {
  const scale = parts / Math.max(size.x, size.y);
  const width = Math.round(size.x * scale);
  const height = Math.round(size.y * scale);
  return { width, height, pitch: size, scale: { x: width / size.x, y: height / size.y } };
}

export function gridOfUnit({ pitch }: Pick<RepeatUnit, 'pitch'>, parts = PARTS): Grid {
  return fineGrid({ x: surdToNumber(pitch.x), y: surdToNumber(pitch.y) }, parts);
}

/**
 * What is seen of each mark in a repeat and so far round it: every copy less what lies over it, from the top down. They do
 * not overlap. Shadows cover nothing.
 *
 * @param beyond  in parts of a repeat, to each side
 */
export function seenRegions({ content }: RepeatUnit<Marks>, grid: Grid, beyond = 0): readonly SeenRegion[] {
  const over = { x: Math.round(beyond * grid.width), y: Math.round(beyond * grid.height) };
  const right = grid.width + over.x;
  const bottom = grid.height + over.y;
  let free: Paths64 = [
    [
      { x: -over.x, y: -over.y },
      { x: right, y: -over.y },
      { x: right, y: bottom },
      { x: -over.x, y: bottom },
    ],
  ];
  const regions: SeenRegion[] = [];
  for (const { polygons, shades } of copiesFromTop(content, grid, over)) {
    const paths = clip(ClipType.Intersection, free, polygons);
    if (paths.length > 0) regions.push({ paths, parts: partsOf(shades), isGround: false });
    free = clip(ClipType.Difference, free, polygons);
    if (free.length === 0) return regions;
  }
  const { fill } = content.base.faces[0]!;
  const shade = fill.kind === 'clear' ? 'clear' : fill.shade;
  return [...regions, { paths: free, parts: [{ shade, part: 1 }], isGround: true }];
}

export function areaOfPaths(paths: Paths64): number {
  return paths.reduce((sum, path) => sum + areaOfPlaces(path), 0);
}

/** Copies of what covers that come into a repeat and so far round it, in parts of the grid; the uppermost first. */
export function copiesFromTop({ marks, rows }: Marks, grid: Grid, over: Place = { x: 0, y: 0 }) {
  const before = paintedBefore(rows);
  const copies = marks.flatMap(({ shape, shade, fade, picture, soft }, index) => {
    if (shape.kind !== 'figure' || soft !== undefined) return [];
    const polygons = shape.endless ? resolveEndless(shape.figure, grid) : resolveFigure(shape.figure, grid);
    const xs = polygons.flatMap((polygon) => polygon.map(({ x }) => x));
    const ys = polygons.flatMap((polygon) => polygon.map(({ y }) => y));
    if (xs.length === 0) return [];
    const [left, right] = [least(xs), -least(xs.map((x) => -x))];
    const [top, bottom] = [least(ys), -least(ys.map((y) => -y))];
    const across = repeatsInto(left + over.x, right - left, grid.width, grid.width + 2 * over.x);
    const down = repeatsInto(top + over.y, bottom - top, grid.height, grid.height + 2 * over.y);
    return across.flatMap((i) =>
      down.map((j) => ({
        index,
        row: shape.row,
        piece: shape.piece,
        endless: shape.endless,
        right: i,
        up: -j,
        shades:
          picture === undefined ? (fade?.shades ?? [shade ?? ('clear' as const)]) : (['picture'] as const),
        polygons: polygons.map((polygon) =>
          polygon.map(({ x, y }) => ({ x: x + i * grid.width, y: y + j * grid.height })),
        ),
      })),
    );
  });
  return copies.sort((one, other) => before(other, one));
}

/** What each shade has of an even way through several. */
function partsOf(shades: readonly SeenShade[]): SeenRegion['parts'] {
  if (shades.length === 1) return [{ shade: shades[0]!, part: 1 }];
  const whole = shades.length - 1;
  return shades.map((shade, at) => ({ shade, part: (at === 0 || at === whole ? 0.5 : 1) / whole }));
}

function least(values: readonly number[]): number {
  return values.reduce((low, value) => Math.min(low, value), Infinity);
}

function clip(how: ClipType, subject: Paths64, by: readonly (readonly Place[])[]): Paths64 {
  const clipper = new Clipper64();
  clipper.addSubject(subject);
  clipper.addClip(by.map((path) => [...path]));
  const made: Paths64 = [];
  clipper.execute(how, FillRule.NonZero, made);
  return made;
}
