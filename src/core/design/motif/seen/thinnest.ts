import {
  Clipper64,
  ClipType,
  EndType,
  FillRule,
  inflatePaths,
  JoinType,
  type Paths64,
  simplifyPaths,
} from 'clipper2-ts';
import type { Marks, RepeatUnit } from '../../../repeat/repeat-unit.ts';
import type { Grid } from '../../../shape/grid.ts';
import type { Place } from '../../../shape/places.ts';
import { NearSides, type Side } from './near-sides.ts';
import { gridOfUnit, type SeenRegion, type SeenShade, seenRegions } from './seen-regions.ts';

/** How thin a motif is where it is thinnest, in millimetres. */
export interface Thinnest {
  /** Across anything that is painted, in one shade; null where nothing is narrower than half of the repeat. */
  readonly smallestWidth: number | null;
  /** Across the ground between painted things. */
  readonly smallestGap: number | null;
}

/** Most marks of a repeat that are measured. */
const MOST_MARKS = 3_000;

/** Parts of the longer side of a repeat that widths are right to. */
const PARTS = 2 ** 16;

/** Half of a repeat more to each side: nothing that is narrower than that is cut off. */
const BEYOND = 0.5;

/** The smallest width of what is painted and of what is left between, each shade by itself. */
export function thinnestOf(unit: RepeatUnit<Marks>): Thinnest {
  if (unit.content.marks.length > MOST_MARKS) return { smallestWidth: null, smallestGap: null };
  const grid = gridOfUnit(unit, PARTS);
  const regions = seenRegions(unit, grid, BEYOND);
  const scale = Math.sqrt(grid.scale.x * grid.scale.y);
  const least = (some: readonly SeenRegion[]) => {
    const widths = byShade(some).map((paths) => widthOf(paths, grid));
    const width = widths.reduce((low, each) => Math.min(low, each), Infinity);
    return width === Infinity ? null : width / scale;
  };
  return {
    smallestWidth: least(regions.filter(({ isGround }) => !isGround)),
    smallestGap: least(regions.filter(({ isGround }) => isGround)),
  };
}

/** Regions of one shade put together; what fades goes by its first. */
function byShade(regions: readonly SeenRegion[]): readonly Paths64[] {
  const shades = new Map<SeenShade, Paths64>();
  for (const { paths, parts } of regions) {
    const { shade } = parts[0]!;
    shades.set(shade, [...(shades.get(shade) ?? []), ...paths]);
  }
  return [...shades.values()].map(joined);
}

/** What lies beside a straight line by less is on it: the rounding of short sides turns them anywhere. */
const STRAIGHT = 6;

/** Rounding may leave so much between regions that touch, in parts of the grid. */
const SEAM = 3;

function joined(paths: Paths64): Paths64 {
  const clipper = new Clipper64();
  clipper.addSubject(inflatePaths(paths, SEAM, JoinType.Miter, EndType.Polygon));
  const made: Paths64 = [];
  clipper.execute(ClipType.Union, FillRule.NonZero, made);
  return simplifyPaths(inflatePaths(made, -SEAM, JoinType.Miter, EndType.Polygon), STRAIGHT);
}

/** What is narrower is rounding. */
const NOISE = 12;

/**
 * The shortest way across a region from one side to another that gets longer whichever end is moved: across a corner there is
 * none, as it narrows to nothing. Outlines run with the region on their left.
 */
function widthOf(paths: Paths64, grid: Grid): number {
  const sides = paths.flatMap((path) => sidesOf(path)).filter((side) => !liesOnBorder(side, grid));
  const size = Math.max(grid.width, grid.height);
  for (const part of REACHES) {
    const width = widthWithin(sides, size / part, grid);
    if (width <= size / part) return width;
  }
  return Infinity;
}

/** Parts of a repeat within which sides are compared, nearer ones first; the last is a little more than half of it. */
const REACHES = [128, 32, 8, 1.9];

function widthWithin(sides: readonly Side[], reach: number, grid: Grid): number {
  const near = new NearSides(sides, reach);
  let width = Infinity;
  near.eachPair((one, other) => {
    // Most pairs are no nearer than what was found, which is told without making anything.
    if (one.after === other || one.before === other || leastSquare(one, other) > ALIKE * width ** 2) return;
    const way = shortestBetween(one, other);
    if (way === undefined || way.length <= NOISE || way.length >= width) return;
    if (!isInFirstRepeat(way, grid)) return;
    if (!isFacing(one, way.from, way.to) || !isFacing(other, way.to, way.from)) return;
    if (!isNarrowest(one, other, way) || near.isCrossed(way, one, other)) return;
    width = way.length;
  });
  return width;
}

/** A way from one side to another. */
export interface Across {
  readonly from: Place;
  readonly to: Place;
  readonly length: number;
}

function isInFirstRepeat({ from, to }: Across, { width, height }: Grid): boolean {
  const x = (from.x + to.x) / 2;
  const y = (from.y + to.y) / 2;
  return x >= 0 && x < width && y >= 0 && y < height;
}

/** Sine of the angle that a way may miss a right one by: chords of curves stand as much aside of them. */
const ASIDE = 0.07;

/** Whether a way leaves a side into the region, square on it, or from a corner that points into it. */
function isFacing(side: Side, at: Place, toward: Place): boolean {
  const length = Math.hypot(toward.x - at.x, toward.y - at.y);
  const way = { x: (toward.x - at.x) / length, y: (toward.y - at.y) / length };
  // The region lies on the left of a side.
  if (leaving(side, way) > 1 - ASIDE ** 2) return true;
  const corner = inwardCorner(side, at);
  return corner !== undefined && along(corner.after, way) < 0 && along(corner.before, way) > 0;
}

/** The sides of a corner that points into the region, where a place is one; a curve's chords make none. */
function inwardCorner(side: Side, at: Place): Pick<Side, 'before' | 'after'> | undefined {
  if (at !== side.from && at !== side.to) return undefined;
  const before = at === side.from ? side.before : side;
  const after = at === side.from ? side : side.after;
  const turn = (before.dx * after.dy - before.dy * after.dx) / (before.length * after.length);
  return turn < -2 * ASIDE ? { before, after } : undefined;
}

/** How far a way goes to the left of a side, and along it, each from −1 to 1. */
function leaving({ dx, dy, length }: Side, way: Place): number {
  return (dx * way.y - dy * way.x) / length;
}

function along({ dx, dy, length }: Side, way: Place): number {
  return (dx * way.x + dy * way.y) / length;
}

function sidesOf(path: readonly Place[]): readonly Side[] {
  const sides = path.map((from, at) => {
    const to = path[(at + 1) % path.length]!;
    const dx = to.x - from.x;
    const dy = to.y - from.y;
    return { from, to, dx, dy, length: Math.hypot(dx, dy) } as Side;
  });
  for (const [at, side] of sides.entries()) {
    side.before = sides.at(at - 1)!;
    side.after = sides[(at + 1) % sides.length]!;
  }
  return sides;
}

/** Whether it gets no narrower to either side of a way: where two sides draw together, what follows them draws apart. */
function isNarrowest(one: Side, other: Side, { from, to }: Across): boolean {
  // At a corner that points inward, the outline turns away to both sides.
  if (inwardCorner(one, from) !== undefined || inwardCorner(other, to) !== undefined) return true;
  const rate = opening(one, other);
  if (Math.abs(rate) < PARALLEL) return true;
  if (rate < 0) {
    if (from === one.to) return opening(one.after, other) > -PARALLEL;
    return to === other.from && opening(one, other.before) > -PARALLEL;
  }
  if (from === one.from) return opening(one.before, other) < PARALLEL;
  return to === other.to && opening(one, other.after) < PARALLEL;
}

/** Less than this, two sides are parallel. */
const PARALLEL = 1e-3;

/** How fast it gets wider along one side, to another. */
function opening(one: Side, other: Side): number {
  return (one.dy * other.dx - one.dx * other.dy) / (one.length * other.length);
}

/** Whether a side is where the measured part was cut out. */
function liesOnBorder({ from, to }: Side, { width, height }: Grid): boolean {
  const left = -Math.round(BEYOND * width) + NOISE;
  const top = -Math.round(BEYOND * height) + NOISE;
  const right = width - left;
  const bottom = height - top;
  const beyond = (place: Place) => place.x <= left || place.x >= right || place.y <= top || place.y >= bottom;
  return beyond(from) && beyond(to);
}

/** The shortest way between two sides that do not meet: one of their ends is an end of it. */
function shortestBetween(one: Side, other: Side): Across | undefined {
  const ways = [
    wayTo(one.from, other),
    wayTo(one.to, other),
    turned(wayTo(other.from, one)),
    turned(wayTo(other.to, one)),
  ];
  return ways.reduce((least, way) => (way.length < least.length ? way : least));
}

function turned({ from, to, length }: Across): Across {
  return { from: to, to: from, length };
}

/** More than two roundings of one length differ by, as a factor of its square. */
const ALIKE = 1 + 1e-9;

/** The square of the shortest way between two sides that do not meet. */
function leastSquare(one: Side, other: Side): number {
  return Math.min(
    squareTo(one.from, other),
    squareTo(one.to, other),
    squareTo(other.from, one),
    squareTo(other.to, one),
  );
}

function squareTo({ x, y }: Place, { from, to, dx, dy, length }: Side): number {
  const part = length === 0 ? 0 : ((x - from.x) * dx + (y - from.y) * dy) / length ** 2;
  const nearX = part <= 0 ? from.x : part >= 1 ? to.x : from.x + part * dx;
  const nearY = part <= 0 ? from.y : part >= 1 ? to.y : from.y + part * dy;
  return (x - nearX) ** 2 + (y - nearY) ** 2;
}

/** From a place to the nearest of a side: one of its ends, or where the way stands square on it. */
function wayTo(from: Place, { from: start, to: end, dx, dy, length: along }: Side): Across {
  const part = along === 0 ? 0 : ((from.x - start.x) * dx + (from.y - start.y) * dy) / along ** 2;
  const to = part <= 0 ? start : part >= 1 ? end : { x: start.x + part * dx, y: start.y + part * dy };
  return { from, to, length: Math.hypot(to.x - from.x, to.y - from.y) };
}
