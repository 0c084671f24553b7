import { CoreError } from '../error.ts';
import { addPoints, middleOf, type Point, scalePoint, subtractPoints } from '../exact/plane.ts';
import type { Rational } from '../exact/rational.ts';
import { equalSurds, nearNumber, type Surd, surd } from '../exact/surd.ts';

/** Where a ring begins: where the face is so large beside what is seen of it, or so far inside its sides. */
export type RingStart = { readonly share: Rational } | { readonly inside: Surd };

/** A ring inside a face: where it begins, and the shade from there inward. */
export interface FaceRing {
  readonly start: RingStart;
  /** Undefined: the face's own. */
  readonly shade: number | undefined;
}

/** A part of a face in one shade. */
export interface FacePart {
  readonly corners: readonly Point[];
  readonly shade: number;
}

/** What of a face lies inside a distance from its sides, a point a corner; undefined where nothing does. */
export type InsetOf = (distance: Surd) => readonly Point[] | undefined;

/** What is seen of a face: all of it, or what gaps leave. */
export interface SeenFace extends FacePart {
  readonly seen: readonly Point[];
  /** From the sides of what is seen. */
  readonly insetOf: InsetOf;
}

/** A face made smaller about its middle. */
export function shrunk(corners: readonly Point[], share: Rational): readonly Point[] {
  const middle = middleOf(corners);
  return corners.map((corner) => addPoints(middle, scalePoint(subtractPoints(corner, middle), surd(share))));
}

/**
 * A face as rings round its middle, each made of as many four-sided parts as the face has sides, and what is left inside.
 * The parts cover the face once and share their corners; convex faces only. Where a face is too small for a ring to begin
 * in it, the one outside goes on.
 *
 * @param rings  from the outermost; a share of 1 gives the whole face that shade
 * @throws CoreError "tiling/ring-outside" {ring} for one that does not lie inside the one before it, counted from 1
 */
export function ringed(
  { corners, shade, seen, insetOf }: SeenFace,
  rings: readonly FaceRing[],
): readonly FacePart[] {
  const parts: FacePart[] = [];
  let outer = corners;
  let current = shade;
  for (const [at, { start, shade: next }] of rings.entries()) {
    const isWhole = 'share' in start && start.share.n === start.share.d;
    if (!isWhole) {
      const inner = 'share' in start ? shrunk(seen, start.share) : insetOf(start.inside);
      if (inner === undefined) break;
      if (!inner.every((point) => isInside(point, outer)))
        throw new CoreError('tiling/ring-outside', { ring: at + 1 });
      parts.push(...between(outer, inner).map((part) => ({ corners: part, shade: current })));
      outer = inner;
    }
    current = next ?? shade;
  }
  return [...parts, { corners: distinct(outer), shade: current }];
}

/** What lies between two outlines of as many corners, side by side. */
function between(outer: readonly Point[], inner: readonly Point[]): readonly (readonly Point[])[] {
  return outer
    .map((corner, at) => {
      const next = (at + 1) % outer.length;
      return distinct([corner, outer[next]!, inner[next]!, inner[at]!]);
    })
    .filter((part) => part.length > 2);
}

/** Corners without those that lie where the one before them does. */
function distinct(corners: readonly Point[]): readonly Point[] {
  return corners.filter((corner, at) => {
    const before = corners.at(at - 1)!;
    return corner !== before && !(equalSurds(corner.x, before.x) && equalSurds(corner.y, before.y));
  });
}

/** Parts of a side by which doubles are off. */
const OFF = 1e-9;

/** Whether a point lies in a convex outline or on it. */
function isInside(point: Point, outline: readonly Point[]): boolean {
  const [x, y] = [nearNumber(point.x), nearNumber(point.y)];
  return outline.every((from, at) => {
    const to = outline[(at + 1) % outline.length]!;
    const way = { x: nearNumber(to.x) - nearNumber(from.x), y: nearNumber(to.y) - nearNumber(from.y) };
    const left = way.x * (y - nearNumber(from.y)) - way.y * (x - nearNumber(from.x));
    return left >= -OFF * (way.x ** 2 + way.y ** 2);
  });
}
