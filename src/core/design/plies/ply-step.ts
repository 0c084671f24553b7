import type { Point } from '../../exact/plane.ts';
import { multiply } from '../../exact/rational.ts';
import { type Surd, scaleSurd } from '../../exact/surd.ts';
import type { RepeatUnit } from '../../repeat/repeat-unit.ts';
import { isSloped } from '../design-facts.ts';
import type { Design } from '../design-schema.ts';
import { parseScale } from '../lay/lay-numbers.ts';
import { pixelOf } from '../lay/lay-schema.ts';
import { scaleOf } from '../motif/lay-box.ts';
import { isKind } from '../of-kind.ts';

/**
 * What a ply's design counts in, in millimetres across and up as it lies: its threads, or the steps of its grid.
 * @param scaled  the design's unit, as large as it lies
 * @param factor  by which the ply is scaled
 * @returns undefined where it has neither, or is laid by a length of its repeats
 */
export function plyStep(design: Design, scaled: RepeatUnit, factor: Surd): Point | undefined {
  if (scaled.grid.step === 'thread') return scaled.pitch;
  const { scale } = design.lay;
  if (!isKind('motif', design) || (scale !== null && scale.to !== 'factor')) return undefined;
  const { step } = scaleOf(design.construction, pixelOf(design.resolution));
  const own = scale === null ? step : multiply(step, parseScale(scale.factor));
  const side = scaleSurd(factor, own);
  return { x: side, y: side };
}

/** What a design's own steps are called; undefined where it has none. */
export function plyStepName({ construction, lay }: Design): 'threads' | 'steps' | undefined {
  if (construction.kind === 'plaid') return isSloped(lay) ? undefined : 'threads';
  const isMeasured = lay.scale === null || lay.scale.to === 'factor';
  return construction.kind === 'motif' && isMeasured ? 'steps' : undefined;
}
