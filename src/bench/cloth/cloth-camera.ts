import { divide, toNumber } from '../../core/exact/rational.ts';
import type { Vector } from '../../core/exact/vector.ts';

/**
 * Where the cloth is looked at. In CSS pixels: `x` is the left edge of the first end and `y` the lower edge of the
 * first pick of the repeat that is worked on, from the view's upper left corner; `perEnd` is the width of an end.
 */
export interface Camera {
  readonly x: number;
  readonly y: number;
  readonly perEnd: number;
}

export interface Size {
  readonly width: number;
  readonly height: number;
}

/** How one repeat lies on the screen. */
export interface ClothGeometry {
  /** One repeat in whole device pixels. */
  readonly tile: Size;
  /** CSS pixels of one end and one pick, after that rounding. */
  readonly stepX: number;
  readonly stepY: number;
}

/** Widths of an end, in device pixels, that the wheel stops at: whole ones, so that threads stay crisp. */
const LEVELS = [
  1 / 16,
  1 / 12,
  1 / 8,
  1 / 6,
  1 / 4,
  1 / 3,
  1 / 2,
  1,
  2,
  3,
  4,
  5,
  6,
  7,
  8,
  10,
  12,
  14,
  16,
  20,
  24,
  32,
  40,
  48,
];

/** Longest side of a repeat on the screen, in device pixels. */
const MAX_TILE_SIDE = 8_000_000;

/** How high a pick is for an end one high. */
export function pickRatio(pitch: Vector): number {
  return toNumber(divide(pitch.y, pitch.x));
}

/** @param repeat  threads of one repeat */
export function layGeometry(
  repeat: { readonly ends: number; readonly picks: number },
  perEnd: number,
  ratio: number,
  pixelRatio: number,
): ClothGeometry {
  const side = (threads: number, step: number) =>
    Math.min(MAX_TILE_SIDE, Math.max(1, Math.round(threads * step * pixelRatio)));
  const tile = { width: side(repeat.ends, perEnd), height: side(repeat.picks, perEnd * ratio) };
  return {
    tile,
    stepX: tile.width / repeat.ends / pixelRatio,
    stepY: tile.height / repeat.picks / pixelRatio,
  };
}

/** Each level of what has no threads is so many times the one before it. */
const FREE_LEVEL = 1.25;

/** Widths of a millimetre, in CSS pixels, between which what has no threads is shown. */
const FREE_LEAST = 1 / 64;
const FREE_MOST = 400;

/**
 * The next level beyond `perEnd`; the last one when there is none.
 * @param threads  whether threads are to stay whole pixels
 */
export function nextLevel(perEnd: number, direction: 1 | -1, pixelRatio: number, threads = true): number {
  if (!threads) return Math.min(FREE_MOST, Math.max(FREE_LEAST, perEnd * FREE_LEVEL ** direction));
  const levels = LEVELS.map((level) => level / pixelRatio);
  const beyond =
    direction === 1
      ? levels.find((level) => level > perEnd * 1.001)
      : levels.findLast((level) => level < perEnd * 0.999);
  return beyond ?? levels.at(direction === 1 ? -1 : 0)!;
}

/** The level nearest to a wished width; what has no threads takes any width there is. */
export function nearestLevel(perEnd: number, pixelRatio: number, threads: boolean): number {
  if (!threads) return Math.min(FREE_MOST, Math.max(FREE_LEAST, perEnd));
  const apart = (level: number) => Math.abs(Math.log(level / (perEnd * pixelRatio)));
  return LEVELS.reduce((best, level) => (apart(level) < apart(best) ? level : best)) / pixelRatio;
}

/** Zooms so that what lies under the point stays there. */
export function zoomAbout(camera: Camera, point: { x: number; y: number }, perEnd: number): Camera {
  const times = perEnd / camera.perEnd;
  return { x: point.x + (camera.x - point.x) * times, y: point.y + (camera.y - point.y) * times, perEnd };
}

/** Works on the repeat that holds the middle of the view instead; nothing is seen to move. */
export function reanchor(
  camera: Camera,
  view: Size,
  { stepX, stepY }: ClothGeometry,
  repeat: RepeatSize,
): Camera {
  const width = repeat.ends * stepX;
  const height = repeat.picks * stepY;
  const x = camera.x + width * Math.floor((view.width / 2 - camera.x) / width);
  const y = camera.y - height * Math.floor((camera.y - view.height / 2) / height);
  return x === camera.x && y === camera.y ? camera : { ...camera, x, y };
}

export interface RepeatSize {
  readonly ends: number;
  readonly picks: number;
}

/** Puts one repeat in the middle of the view. */
export function centre(view: Size, repeat: RepeatSize, perEnd: number, ratio: number): Camera {
  return {
    x: Math.round((view.width - repeat.ends * perEnd) / 2),
    y: Math.round((view.height + repeat.picks * perEnd * ratio) / 2),
    perEnd,
  };
}

/** Width of an end at which three repeats fit the view, whole device pixels where that is possible. */
export function fitThree(
  view: Size,
  repeat: RepeatSize,
  ratio: number,
  pixelRatio: number,
  threads = true,
): number {
  const fit = Math.min(view.width / (3 * repeat.ends), view.height / (3 * repeat.picks * ratio)) * pixelRatio;
  if (!threads) return Math.min(FREE_MOST, Math.max(FREE_LEAST, fit / pixelRatio));
  const whole = fit >= 1 ? Math.min(48, Math.floor(fit)) : Math.max(1 / 16, fit);
  return whole / pixelRatio;
}

/** Widest end at which a design is opened. */
export const MOST_FIRST = 5;

/**
 * Width of an end when a design is opened: three repeats where that leaves threads to see, else one laid-out sett,
 * never below a pixel.
 */
export function firstWidth(view: Size, repeat: RepeatSize, ratio: number, sett: number): number {
  const three = fitThree(view, repeat, ratio, 1);
  if (three >= 2) return Math.min(MOST_FIRST, three);
  return Math.max(1, Math.min(MOST_FIRST, Math.floor(view.width / sett)));
}

/** A piece of the cloth, in device pixels from the repeat's upper left corner. */
export interface Piece extends Size {
  readonly x: number;
  readonly y: number;
}

/** Device pixels painted beyond each edge of the view, so that a little panning needs no new paint. */
const MARGIN = 160;

/** The piece to paint: along each axis the whole repeat, or the view and a margin when that is less. */
export function pieceFor(camera: Camera, view: Size, { tile }: ClothGeometry, pixelRatio: number): Piece {
  const [left, top] = tileCorner(camera, tile, pixelRatio);
  const along = (start: number, side: number, seen: number) =>
    side <= seen + 2 * MARGIN
      ? { from: 0, length: side }
      : { from: -start - MARGIN, length: seen + 2 * MARGIN };
  const across = along(left, tile.width, Math.ceil(view.width * pixelRatio));
  const down = along(top, tile.height, Math.ceil(view.height * pixelRatio));
  return { x: across.from, y: down.from, width: across.length, height: down.length };
}

/** Whether a painted piece still covers the view. */
export function covers(piece: Piece, camera: Camera, view: Size, tile: Size, pixelRatio: number): boolean {
  const [left, top] = tileCorner(camera, tile, pixelRatio);
  const along = (start: number, from: number, length: number, side: number, seen: number) =>
    length >= side || (start + from <= 0 && start + from + length >= seen);
  return (
    along(left, piece.x, piece.width, tile.width, view.width * pixelRatio) &&
    along(top, piece.y, piece.height, tile.height, view.height * pixelRatio)
  );
}

/** Upper left corner of the repeat that is worked on, in whole device pixels. */
export function tileCorner(
  camera: Camera,
  tile: Size,
  pixelRatio: number,
): readonly [left: number, top: number] {
  return [Math.round(camera.x * pixelRatio), Math.round(camera.y * pixelRatio) - tile.height];
}
