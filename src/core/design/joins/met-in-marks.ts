import { hexDifference } from '../../colour/compare.ts';
import { hexOf } from '../../colour/hex.ts';
import type { Marks, RepeatUnit } from '../../repeat/repeat-unit.ts';
import type { Grid } from '../../shape/grid.ts';
import type { Place } from '../../shape/places.ts';
import type { Mark } from '../../shape/shape.ts';
import { copiesFromTop, gridOfUnit } from '../motif/seen/seen-regions.ts';
import { type BesideEdge, folded, placesBeside, uppermostOf } from '../motif/seen/uppermost.ts';
import { alongWay, fadeColour, pictureColour } from './colour-at.ts';
import { LEAST_SEEN, type MetPlace, wayOver } from './met-place.ts';

/** Parts of the grid to either side of an edge that colours are compared at. */
const BESIDE = 24;

/** Most corners of all copies: beyond, joins are not looked for. */
const MOST_CORNERS = 60_000;

/** Places along the box that a fade comes again in. */
const ALONG_BOX = 96;

/**
 * What of a picture jumps by no more than so many times what nine in ten of its pixels differ from those beside them by is
 * no join; so many are looked at.
 */
const GRAIN = 1.25;
const MOST_GRAIN = 512;

type Copy = ReturnType<typeof copiesFromTop>[number];

/**
 * Where fades and pictures of a motif meet themselves: a piece its own copy, or a fade over the whole repeat its beginning.
 * Edges between different pieces are typed and no joins.
 *
 * @returns  every place that was looked at and can be seen
 */
export function metInMarks(unit: RepeatUnit<Marks>): readonly MetPlace[] {
  const { content } = unit;
  if (!content.marks.some(isVaried)) return [];
  const grid = gridOfUnit(unit);
  const copies = copiesFromTop(content, grid);
  const corners = copies.reduce((sum, { polygons }) => sum + polygons.flat().length, 0);
  if (corners > MOST_CORNERS) return [];
  const uppermost = uppermostOf(copies, grid, 1);
  const varied = copies.filter(({ index }) => isVaried(content.marks[index]!));
  const places = [...placesBeside(varied, grid, BESIDE), ...besideBoxes(content, grid)];
  const least = new Map(content.marks.map((mark) => [mark, leastSeen(mark)]));
  return places.flatMap((beside): MetPlace[] => {
    const [left, right] = [folded(beside.left, grid), folded(beside.right, grid)];
    const one = copies[uppermost.at(left) ?? -1];
    const other = copies[uppermost.at(right) ?? -1];
    if (one === undefined || other === undefined || one.piece !== other.piece) return [];
    const mark = content.marks[one.index]!;
    if (!isSamePaint(mark, content.marks[other.index]!)) return [];
    const difference = hexDifference(
      colourAt(one, left, content, grid),
      colourAt(other, right, content, grid),
    );
    const way = { x: beside.right.x - beside.left.x, y: beside.left.y - beside.right.y };
    const middle = folded(
      { x: (beside.left.x + beside.right.x) / 2, y: (beside.left.y + beside.right.y) / 2 },
      grid,
    );
    if (difference < least.get(mark)!) return [];
    return [
      {
        of: `${mark.fade?.shades.join()} ${mark.picture?.name}`,
        what: mark.picture === undefined ? 'fade' : 'picture',
        difference,
        at: { x: middle.x / grid.scale.x, y: (grid.height - middle.y) / grid.scale.y },
        over: wayOver(way),
      },
    ];
  });
}

function isVaried({ shape, fade, picture, soft }: Mark): boolean {
  return (
    shape.kind === 'figure' && soft === undefined && (fade !== undefined || picture?.picture !== undefined)
  );
}

/** Whether two marks look alike but for where they lie. */
function isSamePaint(one: Mark, other: Mark): boolean {
  if (!isVaried(one) || !isVaried(other)) return false;
  return one.picture?.name === other.picture?.name && one.fade?.shades.join() === other.fade?.shades.join();
}

/** @param place  in parts of the grid, in the first repeat */
function colourAt({ index, right, up }: Copy, place: Place, { base, marks }: Marks, grid: Grid): string {
  const { shade, fade, picture } = marks[index]!;
  const hexOfShade = (at: number) => base.shades[at]!.hex;
  const inMillimetres = { x: place.x / grid.scale.x, y: (grid.height - place.y) / grid.scale.y };
  const own = { x: inMillimetres.x - right * grid.pitch.x, y: inMillimetres.y - up * grid.pitch.y };
  const beneath =
    fade === undefined
      ? hexOfShade(shade ?? base.faces[0]!.fill.shade)
      : fadeColour(
          fade.shades.map(hexOfShade),
          alongWay(fade.way, fade.way.every === null ? own : inMillimetres),
        );
  return picture === undefined ? beneath : pictureColour(picture, own, beneath);
}

/** Places beside the edges of the boxes that fades come again in. */
function besideBoxes({ marks }: Marks, grid: Grid): readonly BesideEdge[] {
  const boxes = new Map(
    marks.flatMap(({ fade }) =>
      fade?.way.every ? [[JSON.stringify(fade.way.every), fade.way.every] as const] : [],
    ),
  );
  const parts = Array.from({ length: ALONG_BOX }, (_, at) => (at + 0.5) / ALONG_BOX);
  return [...boxes.values()].flatMap(({ x, y, at = { x: 0, y: 0 } }) => {
    const steps = (room: number, step: number, first: number) =>
      Array.from({ length: Math.max(1, Math.round(room / step)) }, (_, count) => first + count * step);
    const across = steps(grid.pitch.x, x, at.x).flatMap((place) =>
      parts.map((part): BesideEdge => {
        const level = part * grid.height;
        const line = place * grid.scale.x;
        return { left: { x: line - BESIDE, y: level }, right: { x: line + BESIDE, y: level } };
      }),
    );
    const up = steps(grid.pitch.y, y, at.y).flatMap((place) =>
      parts.map((part): BesideEdge => {
        const upright = part * grid.width;
        const line = grid.height - place * grid.scale.y;
        return { left: { x: upright, y: line + BESIDE }, right: { x: upright, y: line - BESIDE } };
      }),
    );
    return [...across, ...up];
  });
}

/** How far a difference has to be seen: of a picture, beyond what lies beside each other in it. */
function leastSeen({ picture }: Mark): number {
  if (picture?.picture === undefined) return LEAST_SEEN;
  const { width, height, rgba } = picture.picture;
  const hexOfPixel = (at: number) => hexOf([rgba[4 * at]!, rgba[4 * at + 1]!, rgba[4 * at + 2]!]);
  const count = Math.min(MOST_GRAIN, width * height);
  const differences = Array.from({ length: count }, (_, sample) => {
    const at = Math.floor((sample * width * height) / count);
    const right = at % width === width - 1 ? at : at + 1;
    const below = at + width < width * height ? at + width : at;
    return Math.max(
      hexDifference(hexOfPixel(at), hexOfPixel(right)),
      hexDifference(hexOfPixel(at), hexOfPixel(below)),
    );
  }).sort((one, other) => one - other);
  return Math.max(LEAST_SEEN, GRAIN * differences[Math.floor(0.9 * (count - 1))]!);
}
