import { paintRoll } from '../paint/paint-roll.ts';
import { checkRepeat, type RepeatReport } from '../repeat/check-repeat.ts';
import { parseResolution } from '../units/resolution.ts';
import { compile } from './compile-design.ts';
import type { Design } from './design-schema.ts';

/** The repeat check of a design at its own resolution, or at another; `roll` when the usual proof is too much. */
export function checkDesign(design: Design, resolution = design.resolution, roll = paintRoll): RepeatReport {
  return checkRepeat(compile(design), parseResolution(resolution), roll);
}
