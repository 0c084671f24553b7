import { paintRoll } from '../paint/paint-roll.ts';
import { checkRepeat, type RepeatReport } from '../repeat/check-repeat.ts';
import { type NumberProof, withMisses } from '../repeat/close-numbers.ts';
import { closeNumbers } from '../repeat/contents.ts';
import type { RepeatUnit } from '../repeat/repeat-unit.ts';
import { parseResolution } from '../units/resolution.ts';
import { compile } from './compile-design.ts';
import { kindFor } from './constructions.ts';
import type { Design } from './design-schema.ts';

/** The repeat check of a design at its own resolution, or at another; `roll` when the usual proof is too much. */
export function checkDesign(design: Design, resolution = design.resolution, roll = paintRoll): RepeatReport {
  const unit = compile(design);
  return checkRepeat(unit, parseResolution(resolution), roll, proveNumbers(design, unit));
}

/** The content's own proof, and that of the construction's numbers, which does not look at how it was compiled. */
export function proveNumbers(design: Design, unit: RepeatUnit): NumberProof {
  const { construction } = design;
  return withMisses(closeNumbers(unit), kindFor(construction).misses(construction, design, unit));
}
