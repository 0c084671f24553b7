import { EndType, JoinType } from 'clipper2-ts';
import type { LineEnds } from './shape.ts';

/** How the polygon library joins lines, by what it is called here. */
export const JOINS: Readonly<Record<LineEnds, JoinType>> = {
  round: JoinType.Round,
  sharp: JoinType.Miter,
  flat: JoinType.Bevel,
};

/** And how it ends them. */
export const ENDS: Readonly<Record<LineEnds, EndType>> = {
  round: EndType.Round,
  sharp: EndType.Square,
  flat: EndType.Butt,
};

/** How far a point may be drawn out beside half a line's width, before it is cut off. */
export const SHARPEST = 4;
