import type { Dashes } from '../figure.ts';
import type { LineEnds } from '../shape.ts';

/** A line along both sides of a strap, so far from its edges. */
export interface StrapEdge {
  readonly inset: number;
  readonly width: number;
}

/** Lines along a strap on both sides of where it goes under: to a point or as wide all along. */
export interface DipLines {
  readonly kind: 'lines';
  readonly count: number;
  readonly length: number;
  readonly apart: number;
  readonly width: number;
  readonly taper: boolean;
}

/** A shade that goes over into the strap's own on both sides of where it goes under. */
interface DipShade {
  readonly kind: 'shade';
  readonly length: number;
}

/** How a strap looks, in millimetres, its shades aside. */
export interface StrapStyle {
  readonly width: number;
  /** What is left free beside a strap that goes over it. */
  readonly gap: number;
  /** How its corners are drawn, and its ends where it has some. */
  readonly ends: LineEnds;
  readonly edges: readonly StrapEdge[];
  readonly centre: { readonly width: number; readonly dashes: Dashes | null } | null;
  readonly dip: DipLines | DipShade | null;
  /** Left out: it goes over and under others. False: it is joined with what it meets. */
  readonly crosses?: boolean;
}
