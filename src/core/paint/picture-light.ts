import { LINEAR_ONE } from '../colour/linear.ts';
import type { MixingTables } from '../colour/mixing.ts';
import { type PicturePlace, pictureOf, type ShownPicture } from '../shape/picture.ts';
import type { Place } from '../shape/places.ts';
import { CHANNELS } from './row-sums.ts';
import { shrinkPicture } from './shrink-picture.ts';

/** Puts the light of a pixel, counted from the first one of what is painted, into four numbers. */
export type LightAt = (x: number, y: number, light: Float64Array) => void;

/** Where pixels are counted from, and how millimetres or repeats become pixels, y downward. */
export interface PictureGrid {
  readonly first: Place;
  readonly place: (place: Place) => Place;
}

/** Makes pictures ready in the size that they are painted in; the same picture in the same size is made ready once. */
export type PictureLight = (shown: ShownPicture, grid: PictureGrid) => LightAt;

/**
 * The light of pictures at the middles of pixels: of one that is painted smaller, means of its pixels; between those,
 * bilinear. Where a picture ends inside its shape, its edge takes part in a pixel as far as it covers it.
 *
 * @returns  throws CoreError "picture/missing" {name} for one that is known by its size alone
 */
export function picturesLight({ levelOf }: MixingTables): PictureLight {
  const ready = new Map<string, Uint16Array>();
  const names = new Map<object, number>();
  return (shown, { first, place }) => {
    const picture = pictureOf(shown);
    const placed = inPixels(shown.place, place);
    const width = fewer(picture.width, placed.across);
    const height = fewer(picture.height, placed.down);
    if (!names.has(picture)) names.set(picture, names.size);
    const name = `${names.get(picture)} ${width} ${height}`;
    const levels = ready.get(name) ?? shrinkPicture(picture, { width, height }, levelOf);
    ready.set(name, levels);
    return lightOfPicture({ levels, width, height }, placed, first);
  };
}

/** Pixels of the picture that are kept along a side: no more than it is painted in. */
function fewer(pixels: number, side: Place): number {
  return Math.min(pixels, Math.max(1, Math.round(Math.hypot(side.x, side.y))));
}

function inPixels(
  { corner, across, down, ends }: PicturePlace,
  place: (place: Place) => Place,
): PicturePlace {
  const at = place(corner);
  const way = (by: Place) => {
    const end = place({ x: corner.x + by.x, y: corner.y + by.y });
    return { x: end.x - at.x, y: end.y - at.y };
  };
  return { corner: at, across: way(across), down: way(down), ends };
}

interface Levels {
  readonly levels: Uint16Array;
  readonly width: number;
  readonly height: number;
}

/** A hot function. */
function lightOfPicture(
  { levels, width, height }: Levels,
  { corner, across, down, ends }: PicturePlace,
  first: Place,
): LightAt {
  const area = across.x * down.y - across.y * down.x;
  // Pixels from its left to its right edge, and from its upper to its lower one.
  const wide = ends.across ? Math.abs(area) / Math.hypot(down.x, down.y) : Infinity;
  const high = ends.down ? Math.abs(area) / Math.hypot(across.x, across.y) : Infinity;
  return (x, y, light) => {
    const right = first.x + x + 0.5 - corner.x;
    const below = first.y + y + 0.5 - corner.y;
    const u = (right * down.y - below * down.x) / area;
    const v = (below * across.x - right * across.y) / area;
    const share = withinEdges(u, wide) * withinEdges(v, high);
    const column = u * width - 0.5;
    const row = v * height - 0.5;
    const partX = column - Math.floor(column);
    const partY = row - Math.floor(row);
    const left = within(Math.floor(column), width);
    const next = within(Math.floor(column) + 1, width);
    const upper = within(Math.floor(row), height) * width;
    const lower = within(Math.floor(row) + 1, height) * width;
    for (let channel = 0; channel < CHANNELS; channel += 1) {
      const above = mean(levels, upper + left, upper + next, channel, partX);
      const under = mean(levels, lower + left, lower + next, channel, partX);
      light[channel] = share * (above + (under - above) * partY);
    }
  };
}

function mean(levels: Uint16Array, one: number, other: number, channel: number, part: number): number {
  const from = levels[one * CHANNELS + channel]!;
  return from + (levels[other * CHANNELS + channel]! - from) * part;
}

function within(at: number, size: number): number {
  return at < 0 ? 0 : at >= size ? size - 1 : at;
}

/** How much of a pixel lies between two edges. @param pixels  from one to the other; endless where there are none */
function withinEdges(at: number, pixels: number): number {
  if (pixels === Infinity) return 1;
  return Math.max(0, Math.min(1, at * pixels + 0.5, (1 - at) * pixels + 0.5));
}

/** A light with a picture over it. */
export function withPicture(beneath: LightAt, picture: LightAt): LightAt {
  const over = new Float64Array(CHANNELS);
  return (x, y, light) => {
    beneath(x, y, light);
    picture(x, y, over);
    const through = 1 - over[3]! / LINEAR_ONE;
    for (let channel = 0; channel < CHANNELS; channel += 1) {
      light[channel] = light[channel]! * through + over[channel]!;
    }
  };
}
