import type { Vector } from '../../exact/vector.ts';
import type { DrawnPiece } from './drawn-path.ts';

/** The shapes of one repeat, in user units of `step` millimetres. */
export interface Drawing {
  readonly shapes: Iterable<DrawnPiece>;
  readonly width: string;
  readonly height: string;
  readonly step: Vector;
  /** Whether all edges are upright or level and lie on whole units, and are to be drawn so. */
  readonly crisp: boolean;
}
