import { paintRoll } from '../paint/paint-roll.ts';
import { checkRepeat, type RepeatReport } from '../repeat/check-repeat.ts';
import { parseResolution } from '../units/resolution.ts';
import { compile } from './compile-design.ts';
import type { Design } from './design-schema.ts';

/** The repeat check of a design at its own resolution, or at another. */
export function checkDesign(design: Design, resolution = design.resolution): RepeatReport {
  return checkRepeat(compile(design), parseResolution(resolution), paintRoll);
}
