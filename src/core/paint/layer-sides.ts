import { Clipper64, ClipType, EndType, FillRule, inflatePaths, JoinType, type Paths64 } from 'clipper2-ts';
import { toNumber } from '../exact/rational.ts';
import { copiesIn } from '../tiling/copies.ts';
import type { GapsLayer, LineEnds, LinesLayer } from '../tiling/stack.ts';
import { type Place, placesOf, roundedFace } from '../tiling/taken-in.ts';
import type { PaintWindow } from './painting.ts';
import { type Side, SUBPIXELS, sideBetween } from './partition-edges.ts';

/**
 * The faces of a gaps layer, taken in, as sides in the window's subpixels; they are rounded to subpixels before they are
 * moved. Shade 0 is a face, 1 what lies between.
 */
export function gapSides(layer: GapsLayer, pitch: Place, window: PaintWindow): readonly Side[] {
  const scale = subpixelsPer(pitch, window);
  const [by, corner] = [toNumber(layer.by), toNumber(layer.corner)];
  return layer.faces.flatMap((corners) => {
    const { middles, radius } = roundedFace(corners, pitch, by, corner);
    return sidesRound(outline(middles, radius, scale), window);
  });
}

/** Subpixels of a millimetre each way. */
function subpixelsPer(pitch: Place, { tile }: PaintWindow): Place {
  return { x: (tile.width * SUBPIXELS) / pitch.x, y: (tile.height * SUBPIXELS) / pitch.y };
}

/** Most that an arc's chord may lie inside it, in subpixels: of a face's corner, and of a line's end, of which there are many. */
const SAGITTA = { corner: 4, end: 16 } as const;

/**
 * A convex outline whose corners are arcs, in whole subpixels, y downward: each arc goes round one of the places, from the
 * side that comes to it to the one that leaves it.
 */
function outline(middles: readonly Place[], radius: number, scale: Place): readonly Place[] {
  const rounded = (x: number, y: number) => ({ x: Math.round(x * scale.x), y: -Math.round(y * scale.y) });
  if (radius === 0) return middles.map(({ x, y }) => rounded(x, y));
  const angles = middles.map((from, at) => {
    const to = middles[(at + 1) % middles.length]!;
    return Math.atan2(to.y - from.y, to.x - from.x) - Math.PI / 2;
  });
  const most =
    2 *
    Math.acos(
      Math.max(0, 1 - SAGITTA.corner / Math.max(SAGITTA.corner, radius * Math.max(scale.x, scale.y))),
    );
  return middles.flatMap(({ x, y }, at) => {
    const from = angles.at(at - 1)!;
    const turn = (((angles[at]! - from) % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI);
    const pieces = Math.max(1, Math.ceil(turn / most));
    return Array.from({ length: pieces + 1 }, (_, piece) => {
      const angle = from + (turn * piece) / pieces;
      return rounded(x + radius * Math.cos(angle), y + radius * Math.sin(angle));
    });
  });
}

/** Each side of an outline for what lies inside it (shade 0), moved by the window's offset. */
function sidesRound(places: readonly Place[], { tile, offset }: PaintWindow): readonly Side[] {
  const [left, top] = [offset.x * SUBPIXELS, offset.y * SUBPIXELS - tile.height * SUBPIXELS];
  const moved = places.map(({ x, y }) => ({ x: x - left, y: y - top }));
  return moved.flatMap((from, at) => {
    const to = moved[(at + 1) % moved.length]!;
    if (from.x === to.x && from.y === to.y) return [];
    return [sideBetween(from, to, 0)];
  });
}

const JOINS: Readonly<Record<LineEnds, JoinType>> = {
  round: JoinType.Round,
  sharp: JoinType.Miter,
  flat: JoinType.Bevel,
};

const ENDS: Readonly<Record<LineEnds, EndType>> = {
  round: EndType.Round,
  sharp: EndType.Square,
  flat: EndType.Butt,
};

/** How far a point may be drawn out beside half a line's width, before it is cut off. */
export const SHARPEST = 4;

/**
 * The outlines of lines, joined where they lie over each other, as sides in the window's subpixels. They are worked out
 * in the repeat's own subpixels and moved by whole pixels, so that they are the same in every window.
 */
export function lineSides(layer: LinesLayer, pitch: Place, window: PaintWindow): readonly Side[] {
  const scale = subpixelsPer(pitch, window);
  const [width, height] = [window.tile.width * SUBPIXELS, window.tile.height * SUBPIXELS];
  // A pixel fit keeps both within parts of a million; the mean is as wide as the line is high.
  const half = (toNumber(layer.width) / 2) * Math.sqrt(scale.x * scale.y);
  const reach = half * (layer.ends === 'sharp' ? SHARPEST : 1) + SUBPIXELS;
  const paths = (closed: boolean): Paths64 =>
    layer.paths
      .filter((path) => path.closed === closed)
      .flatMap(({ points }) => {
        const places = placesOf(points, { x: width, y: height });
        const path = places.map(({ x, y }) => ({ x: Math.round(x), y: -Math.round(y) + height }));
        return copiesIn(path, { x: width, y: height }, reach).map((copy) => [...copy]);
      });
  const inflate = (path: Paths64, end: EndType) =>
    path.length === 0 ? [] : inflatePaths(path, half, JOINS[layer.ends], end, SHARPEST, SAGITTA.end);
  const clip = new Clipper64();
  clip.addSubject([...inflate(paths(true), EndType.Joined), ...inflate(paths(false), ENDS[layer.ends])]);
  clip.addClip([
    [
      { x: 0, y: 0 },
      { x: width, y: 0 },
      { x: width, y: height },
      { x: 0, y: height },
    ],
  ]);
  const joined: Paths64 = [];
  clip.execute(ClipType.Intersection, FillRule.NonZero, joined);
  // Clipper's outlines run the other way round than faces do.
  return joined.flatMap((path) =>
    sidesRound(
      [...path].reverse().map(({ x, y }) => ({ x, y: y - height })),
      window,
    ),
  );
}
