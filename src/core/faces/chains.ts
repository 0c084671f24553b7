import { addPoints, ORIGIN, type Point, pointName, subtractPoints } from '../exact/plane.ts';
import { nearNumber } from '../exact/surd.ts';
import type { LinePath } from '../shape/shape.ts';
import { type Corner, cornerAt, type TorusFaces } from './check-partition.ts';

/** An edge of a torus, from one corner to another. */
export type TorusEdge = readonly [from: Corner, to: Corner];

/** One end of an edge: 2 × the edge, and 1 more for the end that it runs to. */
type End = number;

/**
 * Joins edges to lines wherever one end meets another and no third lies in the wider angle between them, since there it is
 * seen how lines meet; a vertex in the middle of a straight line is such a place too. A line that goes round the torus
 * for ever is cut, and goes on for one edge more so that it meets itself.
 *
 * @param pitch  lengths of one repeat across and up, for angles
 */
export function chainEdges(
  torus: TorusFaces,
  edges: readonly TorusEdge[],
  pitch: { readonly x: number; readonly y: number },
): readonly LinePath[] {
  const linked = linksOf(torus, edges, pitch);
  const done = new Set<number>();
  const starts = edges.flatMap((_, edge) => [2 * edge, 2 * edge + 1]);
  const open = starts.filter((end) => !linked.has(end));
  return [...open, ...starts].flatMap((start) => {
    if (done.has(start >> 1)) return [];
    return [traced(torus, edges, linked, start, done)];
  });
}

/** For each end the end that it goes on at. */
function linksOf(
  torus: TorusFaces,
  edges: readonly TorusEdge[],
  pitch: { readonly x: number; readonly y: number },
): ReadonlyMap<End, End> {
  const at = torus.vertices.map((): { end: End; angle: number }[] => []);
  edges.forEach(([from, to], edge) => {
    const a = cornerAt(torus, from);
    const b = cornerAt(torus, to);
    const x = (nearNumber(b.x) - nearNumber(a.x)) * pitch.x;
    const y = (nearNumber(b.y) - nearNumber(a.y)) * pitch.y;
    at[from.vertex]!.push({ end: 2 * edge, angle: Math.atan2(y, x) });
    at[to.vertex]!.push({ end: 2 * edge + 1, angle: Math.atan2(-y, -x) });
  });
  const linked = new Map<End, End>();
  for (const ends of at) {
    if (ends.length < 2) continue;
    ends.sort((p, q) => p.angle - q.angle);
    const wide = ends.findIndex(({ angle }, index) => {
      const next = ends[(index + 1) % ends.length]!.angle + (index + 1 === ends.length ? 2 * Math.PI : 0);
      return next - angle > Math.PI - STRAIGHT;
    });
    if (wide < 0) continue;
    const one = ends[wide]!.end;
    const other = ends[(wide + 1) % ends.length]!.end;
    linked.set(one, other);
    linked.set(other, one);
  }
  return linked;
}

/** Angles so close to a half turn are one: those of straight lines in doubles are off by some 10⁻¹⁵. */
const STRAIGHT = 1e-9;

/** Follows a line from one end of an edge, each edge laid on where the one before it ends. */
function traced(
  torus: TorusFaces,
  edges: readonly TorusEdge[],
  linked: ReadonlyMap<End, End>,
  start: End,
  done: Set<number>,
): LinePath {
  const points: Point[] = [];
  let shift: Point = ORIGIN;
  for (let end: End | undefined = start; end !== undefined; ) {
    const edge: TorusEdge = edges[end >> 1]!;
    const [near, far]: TorusEdge = end % 2 === 0 ? edge : [edge[1], edge[0]];
    const placed = addPoints(cornerAt(torus, near), shift);
    if (points.length === 0) points.push(placed);
    else {
      // Where the line has come to, the corner is the same vertex, moved by whole repeats.
      const last = points.at(-1)!;
      shift = addPoints(shift, subtractPoints(last, placed));
    }
    if (done.has(end >> 1)) {
      // It is back at its first edge: closed when at the same place, else one edge more.
      const closed = pointName(points.at(-1)!) === pointName(points[0]!);
      if (closed) points.pop();
      else points.push(addPoints(cornerAt(torus, far), shift));
      return { points, closed };
    }
    done.add(end >> 1);
    points.push(addPoints(cornerAt(torus, far), shift));
    end = linked.get(end ^ 1);
  }
  return { points, closed: false };
}
