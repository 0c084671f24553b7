import { type Contour, polyline } from '../contour.ts';
import type { Figure } from '../figure.ts';
import type { StrapEdge, StrapStyle } from './strap-style.ts';
import type { StrapWay } from './strap-way.ts';

/** A line of some width along a middle line. */
export type LineOf = (width: number) => Figure;

/** @param capped  whether it has ends of its own */
export function lineAlong(contour: Contour, { ends }: StrapStyle, capped: boolean): LineOf {
  return (width) => ({ kind: 'line', contour, width, ends, capped, dashes: null });
}

/** The strap itself. Where a line lies at its very edge, it ends under the middle of that: nothing of it shows outside. */
export function bodyLine(style: StrapStyle, line: LineOf): Figure {
  return line(bodyWidth(style));
}

export function bodyWidth({ width, edges }: StrapStyle): number {
  const rim = edges.filter(({ inset }) => inset === 0).reduce((most, edge) => Math.max(most, edge.width), 0);
  return width - Math.min(rim, width / 2);
}

/** A line along both edges. */
export function edgeLines({ width }: StrapStyle, edge: StrapEdge, line: LineOf): Figure {
  const outer = width - 2 * edge.inset;
  const inner = outer - 2 * edge.width;
  return inner > 0 ? { kind: 'cut', parts: [line(outer), line(inner)] } : line(outer);
}

/** Dashes are counted from the strap's start to its end, once each. */
export function dashedLine(
  { strap }: StrapWay,
  { width, dashes }: NonNullable<StrapStyle['centre']>,
): Figure {
  const { points, comes } = strap;
  const isRing = comes !== null && comes[0] === 0 && comes[1] === 0;
  const places = points.map(({ place }) => place);
  const contour = polyline(isRing ? places.slice(0, -1) : places, isRing);
  return { kind: 'line', contour, width, ends: 'sharp', capped: false, dashes };
}
