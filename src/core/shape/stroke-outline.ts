import { Clipper64, ClipType, EndType, FillRule, inflatePaths, type Path64, type Paths64 } from 'clipper2-ts';
import { toNumber } from '../exact/rational.ts';
import { type Boxes, boxesApart } from './boxes-apart.ts';
import { convexTouch } from './convex-touch.ts';
import { copiesIn } from './copies.ts';
import { type Grid, SUBPIXELS } from './grid.ts';
import { ENDS, JOINS, SHARPEST } from './line-joins.ts';
import { type Place, placesOf } from './places.ts';
import type { LineEnds, Stroke } from './shape.ts';
import { straightLine } from './straight-line.ts';

/** Most that a chord of a round end may lie inside it, in subpixels; of ends there are many. */
const SAGITTA = 16;

/** A line in whole subpixels. */
interface Line {
  readonly path: Path64;
  readonly closed: boolean;
  /** Where it is straight and open. */
  readonly outline: readonly Place[] | undefined;
}

/** How all lines of a stroke are drawn. */
interface Pen {
  /** Half of their width, in subpixels. */
  readonly half: number;
  readonly ends: LineEnds;
  readonly sagitta: number;
}

/**
 * The outlines of lines within one repeat, joined where they lie over each other. They are worked out in the repeat's own
 * subpixels, so that they are the same in every window.
 * @returns polygons in whole subpixels, y downward from the top of the repeat
 */
export function strokeOutline(stroke: Stroke, grid: Grid): readonly (readonly Place[])[] {
  const { width, height, scale } = grid;
  // A pixel fit keeps both within parts of a million; the mean is as wide as the line is high.
  const half = (toNumber(stroke.width) / 2) * Math.sqrt(scale.x * scale.y);
  const pen = { half, ends: stroke.ends, sagitta: SAGITTA };
  const reach = half * (stroke.ends === 'sharp' ? SHARPEST : 1) + SUBPIXELS;
  const lines = stroke.paths.flatMap(({ points, closed }): readonly Line[] => {
    const places = placesOf(points, { x: width, y: height });
    const path = places.map(({ x, y }) => ({ x: Math.round(x), y: -Math.round(y) + height }));
    return copiesIn(path, { x: width, y: height }, reach).map((copy) => ({
      path: [...copy],
      closed,
      outline: closed || copy.length !== 2 ? undefined : straightLine(copy[0]!, copy[1]!, pen),
    }));
  });
  const boxes = boxesOf(lines, reach);
  const apart = boxesApart(boxes, grid, (one, other) => {
    const outline = lines[one]!.outline;
    const beside = lines[other]!.outline;
    return outline === undefined || beside === undefined || convexTouch(outline, beside);
  });
  const isAlone = (at: number) => apart[at] === 1 && isInside(boxes, at, grid);
  const alone = lines.flatMap(({ outline }, at) => (outline !== undefined && isAlone(at) ? [outline] : []));
  const others = lines.filter(({ outline }, at) => outline === undefined || !isAlone(at));
  return [...alone, ...joined(others, pen, grid)];
}

/** The box of each line's outline, or round all that it may be. */
function boxesOf(lines: readonly Line[], reach: number): Boxes {
  const boxes = new Float64Array(lines.length * 4);
  lines.forEach(({ path, outline }, line) => {
    const margin = outline === undefined ? reach : 0;
    const box = { left: Infinity, top: Infinity, right: -Infinity, bottom: -Infinity };
    for (const { x, y } of outline ?? path) {
      box.left = Math.min(box.left, x - margin);
      box.top = Math.min(box.top, y - margin);
      box.right = Math.max(box.right, x + margin);
      box.bottom = Math.max(box.bottom, y + margin);
    }
    boxes.set([box.left, box.top, box.right, box.bottom], line * 4);
  });
  return boxes;
}

function isInside(boxes: Boxes, at: number, { width, height }: Grid): boolean {
  return (
    boxes[at * 4]! >= 0 &&
    boxes[at * 4 + 1]! >= 0 &&
    boxes[at * 4 + 2]! <= width &&
    boxes[at * 4 + 3]! <= height
  );
}

/** Lines that may lie over each other or over the repeat's border. */
function joined(lines: readonly Line[], { half, ends }: Pen, { width, height }: Grid): readonly Place[][] {
  if (lines.length === 0) return [];
  const inflate = (closed: boolean, end: EndType) => {
    const paths = lines.filter((line) => line.closed === closed).map(({ path }) => path);
    return paths.length === 0 ? [] : inflatePaths(paths, half, JOINS[ends], end, SHARPEST, SAGITTA);
  };
  const clip = new Clipper64();
  clip.addSubject([...inflate(true, EndType.Joined), ...inflate(false, ENDS[ends])]);
  clip.addClip([
    [
      { x: 0, y: 0 },
      { x: width, y: 0 },
      { x: width, y: height },
      { x: 0, y: height },
    ],
  ]);
  const result: Paths64 = [];
  clip.execute(ClipType.Intersection, FillRule.NonZero, result);
  // Clipper's outlines run the other way round than faces do.
  return result.map((path) => [...path].reverse().map(({ x, y }) => ({ x, y })));
}
