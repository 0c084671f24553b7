import type { RoundedInset } from './inset.ts';
import type { Place } from './places.ts';
import { type Arc, circleArc, onArc, type Sink } from './sink.ts';

/** Tells a convex outline whose corners are arcs round some places; from side to side, an arc after each. */
export function traceInset({ middles, radius }: RoundedInset, sink: Sink): void {
  if (middles.length === 0) return;
  if (radius === 0) {
    tracePolygon(middles, sink);
    return;
  }
  const arcs = arcsOf(middles, radius);
  sink.move(onArc(arcs[0]!, arcs[0]!.to));
  arcs.forEach((_, at) => {
    const next = arcs[(at + 1) % arcs.length]!;
    sink.line(onArc(next, next.from));
    sink.arc(next);
  });
  sink.close();
}

/** Tells a line through places, which stays open. */
export function tracePath(places: readonly Place[], sink: Sink): void {
  for (const [at, place] of places.entries()) {
    if (at === 0) sink.move(place);
    else sink.line(place);
  }
}

export function tracePolygon(corners: readonly Place[], sink: Sink): void {
  tracePath(corners, sink);
  sink.close();
}

/** Round each of the places, from the side that comes to it to the one that leaves it. */
function arcsOf(middles: readonly Place[], radius: number): readonly Arc[] {
  const angles = middles.map((from, at) => {
    const to = middles[(at + 1) % middles.length]!;
    return Math.atan2(to.y - from.y, to.x - from.x) - Math.PI / 2;
  });
  return middles.map((middle, at) => {
    const from = angles.at(at - 1)!;
    const turn = (((angles[at]! - from) % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI);
    return circleArc(middle, radius, from, from + turn);
  });
}
