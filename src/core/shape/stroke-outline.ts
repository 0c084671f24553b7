import { Clipper64, ClipType, EndType, FillRule, inflatePaths, type Paths64 } from 'clipper2-ts';
import { toNumber } from '../exact/rational.ts';
import { copiesIn } from './copies.ts';
import { type Grid, SUBPIXELS } from './grid.ts';
import { ENDS, JOINS, SHARPEST } from './line-joins.ts';
import { type Place, placesOf } from './places.ts';
import type { Stroke } from './shape.ts';

/** Most that a chord of a round end may lie inside it, in subpixels; of ends there are many. */
const SAGITTA = 16;

/**
 * The outlines of lines within one repeat, joined where they lie over each other. They are worked out in the repeat's own
 * subpixels, so that they are the same in every window.
 * @returns polygons in whole subpixels, y downward from the top of the repeat
 */
export function strokeOutline(stroke: Stroke, { width, height, scale }: Grid): readonly (readonly Place[])[] {
  // A pixel fit keeps both within parts of a million; the mean is as wide as the line is high.
  const half = (toNumber(stroke.width) / 2) * Math.sqrt(scale.x * scale.y);
  const reach = half * (stroke.ends === 'sharp' ? SHARPEST : 1) + SUBPIXELS;
  const paths = (closed: boolean): Paths64 =>
    stroke.paths
      .filter((path) => path.closed === closed)
      .flatMap(({ points }) => {
        const places = placesOf(points, { x: width, y: height });
        const path = places.map(({ x, y }) => ({ x: Math.round(x), y: -Math.round(y) + height }));
        return copiesIn(path, { x: width, y: height }, reach).map((copy) => [...copy]);
      });
  const inflate = (path: Paths64, end: EndType) =>
    path.length === 0 ? [] : inflatePaths(path, half, JOINS[stroke.ends], end, SHARPEST, SAGITTA);
  const clip = new Clipper64();
  clip.addSubject([...inflate(paths(true), EndType.Joined), ...inflate(paths(false), ENDS[stroke.ends])]);
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
  return joined.map((path) => [...path].reverse().map(({ x, y }) => ({ x, y })));
}
