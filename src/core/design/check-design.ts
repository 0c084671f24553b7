import { paintRoll } from '../paint/paint-roll.ts';
import { checkRepeat, type RepeatReport } from '../repeat/check-repeat.ts';
import { type NumberProof, withMisses } from '../repeat/close-numbers.ts';
import { closeNumbers } from '../repeat/contents.ts';
import type { RepeatUnit } from '../repeat/repeat-unit.ts';
import type { Pictures } from '../shape/picture.ts';
import { parseResolution } from '../units/resolution.ts';
import { compile } from './compile-design.ts';
import { kindFor } from './constructions.ts';
import type { Design } from './design-schema.ts';

/** How a design is checked. */
interface CheckWish {
  /** Left out, its own. */
  readonly resolution?: string;
  /** Left out, the usual proof in pixels. */
  readonly roll?: typeof paintRoll;
  readonly pictures?: Pictures | undefined;
}

/** The repeat check of a design. */
export function checkDesign(
  design: Design,
  { resolution = design.resolution, roll = paintRoll, pictures }: CheckWish = {},
): RepeatReport {
  const unit = compile(design, pictures);
  return checkRepeat(unit, parseResolution(resolution), roll, proveNumbers(design, unit));
}

/** The content's own proof, and that of the construction's numbers, which does not look at how it was compiled. */
export function proveNumbers(design: Design, unit: RepeatUnit): NumberProof {
  const { construction } = design;
  return withMisses(closeNumbers(unit), kindFor(construction).misses(construction, design, unit));
}
