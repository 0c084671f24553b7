import { toNumber } from '../exact/rational.ts';
import { flattenTo } from './flatten.ts';
import type { Grid } from './grid.ts';
import { roundedInset } from './inset.ts';
import type { Place } from './places.ts';
import type { Frame, Inset, TorusShape } from './shape.ts';
import { strokeOutline } from './stroke-outline.ts';
import { traceInset } from './trace.ts';

/** A shape in subpixels: what lies inside some polygons, or everything but that. */
export interface Outline {
  /** Whether the polygons are holes in a plane that is filled. */
  readonly holes: boolean;
  /** In whole subpixels, y downward from the top of the repeat; they do not overlap. */
  readonly polygons: readonly (readonly Place[])[];
}

/** The only way from a shape on the torus to polygons. They are rounded to subpixels before anything is moved. */
export function outlineOf(shape: TorusShape, grid: Grid): Outline {
  switch (shape.kind) {
    case 'stroke':
      return { holes: false, polygons: strokeOutline(shape, grid) };
    case 'cut':
      return { holes: true, polygons: shape.parts.flatMap((part) => insetOutline(part, grid)) };
    case 'frames':
      return { holes: false, polygons: shape.parts.flatMap((part) => frameOutline(part, grid)) };
    default:
      return shape satisfies never;
  }
}

/** An inset, and the smaller one the other way round, so that what is covered is the band between them. */
function frameOutline(part: Frame, grid: Grid): readonly (readonly Place[])[] {
  const inner = insetOutline(part, grid).map((places) => [...places].reverse());
  return [...insetOutline({ corners: part.corners, ...part.outer }, grid), ...inner];
}

function insetOutline({ corners, by, corner }: Inset, grid: Grid): readonly (readonly Place[])[] {
  const sink = flattenTo(grid);
  traceInset(roundedInset(corners, grid.pitch, toNumber(by), toNumber(corner)), sink);
  return sink.polygons;
}
