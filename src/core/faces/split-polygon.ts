import { addPoints, cross, dot, type Point, scalePoint, subtractPoints } from '../exact/plane.ts';
import { compareSurds, divideSurds, negateSurd, type Surd, signOf, subtractSurds } from '../exact/surd.ts';

/** A line: the points whose product with a way across it is a number. */
export interface Line {
  readonly normal: Point;
  readonly at: Surd;
}

/**
 * Cuts a simple polygon along a line, exactly. Each part keeps the way round; a part may have a corner where the other
 * side of the line has one on its edge.
 * @param corners  counterclockwise
 * @returns the parts before the line and beyond it, along its normal
 */
export function splitPolygon(
  corners: readonly Point[],
  line: Line,
): { readonly before: readonly (readonly Point[])[]; readonly beyond: readonly (readonly Point[])[] } {
  const far = corners.map((corner) => subtractSurds(dot(corner, line.normal), line.at));
  const signs = far.map(signOf);
  if (signs.every((sign) => sign <= 0)) return { before: [corners], beyond: [] };
  if (signs.every((sign) => sign >= 0)) return { before: [], beyond: [corners] };
  const walk = crossed(corners, far, signs);
  return { before: partsOf(walk, -1, line), beyond: partsOf(walk, 1, line) };
}

/** A corner, and on which side of the line it lies. */
interface Step {
  readonly point: Point;
  readonly sign: -1 | 0 | 1;
}

/** The polygon with a corner wherever a side crosses the line. */
function crossed(
  corners: readonly Point[],
  far: readonly Surd[],
  signs: readonly (-1 | 0 | 1)[],
): readonly Step[] {
  return corners.flatMap((point, at): readonly Step[] => {
    const next = (at + 1) % corners.length;
    const own: Step = { point, sign: signs[at]! };
    if (signs[at]! * signs[next]! >= 0) return [own];
    const part = divideSurds(far[at]!, subtractSurds(far[at]!, far[next]!));
    const on = addPoints(point, scalePoint(subtractPoints(corners[next]!, point), part));
    return [own, { point: on, sign: 0 }];
  });
}

/** A run of sides on one side of the line, its first and last corner on it. */
interface Chain {
  readonly points: readonly Point[];
  /** Where it begins and ends along the line, in the direction that has this side on its left. */
  readonly from: Surd;
  readonly to: Surd;
}

/** The parts on one side: runs of sides, closed along the line, each end with the nearest beginning ahead. */
function partsOf(walk: readonly Step[], side: -1 | 1, { normal }: Line): readonly (readonly Point[])[] {
  // With the normal to the left one goes along (y, −x) of it.
  const ahead: Point =
    side === 1 ? { x: normal.y, y: negateSurd(normal.x) } : { x: negateSurd(normal.y), y: normal.x };
  const chains = chainsOf(walk, side, ahead);
  const left = new Set(chains);
  const parts: (readonly Point[])[] = [];
  for (const first of chains) {
    if (!left.has(first)) continue;
    const points: Point[] = [];
    let chain: Chain | undefined = first;
    while (chain !== undefined && left.has(chain)) {
      left.delete(chain);
      points.push(...chain.points);
      const end: Surd = chain.to;
      chain = chains
        .filter(({ from }) => compareSurds(from, end) > 0)
        .reduce<Chain | undefined>(
          (best, each) => (best === undefined || compareSurds(each.from, best.from) < 0 ? each : best),
          undefined,
        );
    }
    parts.push(withoutRepeats(points));
  }
  return parts;
}

function chainsOf(walk: readonly Step[], side: -1 | 1, ahead: Point): readonly Chain[] {
  const count = walk.length;
  const isBreak = (at: number) => {
    const { sign, point } = walk[at]!;
    if (sign !== 0) return false;
    const before = walk[(at + count - 1) % count]!;
    const next = walk[(at + 1) % count]!;
    if (before.sign !== side || next.sign !== side) return true;
    // Touched from this side: only a corner that turns right has the line within the polygon.
    const turn = cross(subtractPoints(point, before.point), subtractPoints(next.point, point));
    return signOf(turn) < 0;
  };
  const chains: Chain[] = [];
  for (let at = 0; at < count; at += 1) {
    if (!isBreak(at) || walk[(at + 1) % count]!.sign !== side) continue;
    const points = [walk[at]!.point];
    let end = (at + 1) % count;
    while (!isBreak(end)) {
      points.push(walk[end]!.point);
      end = (end + 1) % count;
    }
    points.push(walk[end]!.point);
    chains.push({ points, from: dot(points[0]!, ahead), to: dot(points.at(-1)!, ahead) });
  }
  return chains;
}

function withoutRepeats(points: readonly Point[]): readonly Point[] {
  return points.filter((point, at) => {
    const before = points.at(at - 1)!;
    return compareSurds(point.x, before.x) !== 0 || compareSurds(point.y, before.y) !== 0;
  });
}
