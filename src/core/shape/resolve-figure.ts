import {
  Clipper64,
  ClipType,
  EndType,
  FillRule,
  inflatePaths,
  JoinType,
  type Path64,
  type Paths64,
} from 'clipper2-ts';
import { traceContour } from './contour.ts';
import { shiftsInto } from './copies.ts';
import { dashesAlong } from './dashes.ts';
import type { Figure, GrownFigure, LineFigure, RoundedFigure } from './figure.ts';
import { flattenTo } from './flatten.ts';
import type { Grid } from './grid.ts';
import { ENDS, JOINS, SHARPEST } from './line-joins.ts';
import { areaOfPlaces, type Place } from './places.ts';
import { withoutSpikes } from './spikes.ts';

/** Most that a chord of a round corner may lie inside it, in subpixels. */
const SAGITTA = 4;

/**
 * The polygons that a figure covers, in whole subpixels of a repeat, y downward from its top. They do not overlap:
 * outlines run clockwise as seen with y downward, holes the other way, as those of faces do.
 */
export function resolveFigure(figure: Figure, grid: Grid): readonly (readonly Place[])[] {
  // Clipper's outlines run the other way round than faces do.
  return pathsOf(figure, grid).map((path) => [...path].reverse());
}

/** The same of a figure and all its copies on the torus, within the first repeat. */
export function resolveEndless(figure: Figure, grid: Grid): readonly (readonly Place[])[] {
  const { width, height } = grid;
  const size = { x: width, y: height };
  const parts = figure.kind === 'join' ? figure.parts : [figure];
  const copies = parts.flatMap((part) => {
    const paths = pathsOf(part, grid);
    // One shift for all outlines of a part, so that holes stay with what they are in.
    return shiftsInto(paths.flat(), size, 0).flatMap((by) =>
      paths.map((path) => path.map(({ x, y }) => ({ x: x + by.x, y: y + by.y }))),
    );
  });
  const box = [
    { x: 0, y: 0 },
    { x: width, y: 0 },
    { x: width, y: height },
    { x: 0, y: height },
  ];
  return combine(ClipType.Intersection, copies, [box]).map((path) => [...path].reverse());
}

/** The same as Clipper has them: outlines with an area above 0. */
function pathsOf(figure: Figure, grid: Grid): Paths64 {
  switch (figure.kind) {
    case 'outline':
      return outlinePaths(figure.contours.flatMap((contour) => flattened(contour, grid, true)));
    case 'line':
      return linePaths(figure, grid);
    case 'edge':
      return strokePaths(pathsOf(figure.of, grid), true, { ...figure, capped: true }, grid);
    case 'grown':
      return grownPaths(figure, grid);
    case 'rounded':
      return roundedPaths(figure, grid);
    case 'join':
      return combine(
        ClipType.Union,
        figure.parts.flatMap((part) => pathsOf(part, grid)),
        [],
      );
    case 'cut': {
      const [first, ...others] = figure.parts;
      return combine(
        ClipType.Difference,
        pathsOf(first!, grid),
        others.flatMap((part) => pathsOf(part, grid)),
      );
    }
    case 'overlap':
      return figure.parts
        .map((part) => pathsOf(part, grid))
        .reduce((common, paths) => combine(ClipType.Intersection, common, paths));
    default:
      return figure satisfies never;
  }
}

/** A single outline that turns one way is as it is; all others are put right: what is wound round once or more is inside. */
function outlinePaths(outlines: Paths64): Paths64 {
  const paths = outlines.map(withoutSpikes).filter((path) => path.length > 0);
  const [only] = paths;
  if (paths.length === 1 && isConvex(only!)) {
    return [areaOfPlaces(only!) < 0 ? [...only!].reverse() : only!];
  }
  return combine(ClipType.Union, paths, []);
}

/** Whether a polygon turns one way all round, and once. */
function isConvex(path: Path64): boolean {
  let turned = 0;
  let sign = 0;
  for (const [at, here] of path.entries()) {
    const before = path.at(at - 1)!;
    const next = path[(at + 1) % path.length]!;
    const way = { x: here.x - before.x, y: here.y - before.y };
    const onward = { x: next.x - here.x, y: next.y - here.y };
    const turn = way.x * onward.y - way.y * onward.x;
    if (turn !== 0 && sign !== 0 && turn > 0 !== sign > 0) return false;
    if (turn !== 0) sign = turn;
    turned += Math.atan2(turn, way.x * onward.x + way.y * onward.y);
  }
  return Math.abs(turned) < 3 * Math.PI;
}

function flattened(contour: LineFigure['contour'], grid: Grid, closed: boolean): Paths64 {
  const sink = flattenTo(grid);
  traceContour(contour, sink);
  return sink.polygons.map((places) => withoutRepeats(places, closed));
}

/** Places that are rounded onto the one before are left out; one place always stays. */
function withoutRepeats(places: readonly Place[], closed: boolean): Path64 {
  const kept = places.filter((place, at) => {
    const before = at === 0 && !closed ? undefined : places.at(at - 1);
    return before === undefined || place.x !== before.x || place.y !== before.y;
  });
  return kept.length === 0 ? places.slice(0, 1) : kept;
}

function linePaths(line: LineFigure, grid: Grid): Paths64 {
  const { closed } = line.contour;
  const paths = flattened(line.contour, grid, closed);
  // A line that is rounded to a point and ends with it shows nothing.
  const isSeen = closed || (line.capped && ENDS[line.ends] !== EndType.Butt);
  const shown = isSeen ? paths : paths.filter(({ length }) => length > 1);
  return strokePaths(shown, closed, line, grid);
}

function strokePaths(
  paths: Paths64,
  closed: boolean,
  { width, ends, capped, dashes }: Pick<LineFigure, 'width' | 'ends' | 'capped' | 'dashes'>,
  grid: Grid,
): Paths64 {
  const scale = meanScale(grid);
  const half = (width / 2) * scale;
  if (dashes === null) {
    return combine(
      ClipType.Union,
      inflate(paths, half, JOINS[ends], closed ? EndType.Joined : capped ? ENDS[ends] : EndType.Butt),
      [],
    );
  }
  const pieces = paths.flatMap((path) => dashesAlong(path, closed, dashes, scale));
  return combine(ClipType.Union, inflate(pieces, half, JOINS[ends], ENDS[ends]), []);
}

function grownPaths({ of, by, corner }: GrownFigure, grid: Grid): Paths64 {
  return inflate(pathsOf(of, grid), by * meanScale(grid), JOINS[corner], EndType.Polygon);
}

/**
 * Outer corners are rounded by shrinking and growing again (an opening by a disc), inner ones by growing and shrinking
 * (a closing). J. Serra, Image Analysis and Mathematical Morphology, 1982, II.
 */
function roundedPaths({ of, radius }: RoundedFigure, grid: Grid): Paths64 {
  const by = radius * meanScale(grid);
  const round = (paths: Paths64, first: number, second: number) =>
    inflate(inflate(paths, first, JoinType.Miter, EndType.Polygon), second, JoinType.Round, EndType.Polygon);
  const opened = round(pathsOf(of, grid), -by, by);
  return inflate(inflate(opened, by, JoinType.Miter, EndType.Polygon), -by, JoinType.Round, EndType.Polygon);
}

/** Subpixels of a millimetre. A pixel fit keeps both directions within parts of a million. */
function meanScale({ scale }: Grid): number {
  return Math.sqrt(scale.x * scale.y);
}

function inflate(paths: Paths64, by: number, join: JoinType, end: EndType): Paths64 {
  return paths.length === 0 ? [] : inflatePaths(paths, by, join, end, SHARPEST, SAGITTA);
}

function combine(how: ClipType, subject: Paths64, clip: Paths64): Paths64 {
  const clipper = new Clipper64();
  clipper.addSubject(subject);
  if (clip.length > 0) clipper.addClip(clip);
  const made: Paths64 = [];
  clipper.execute(how, FillRule.NonZero, made);
  return made;
}
