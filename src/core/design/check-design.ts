import { paintRoll } from '../paint/paint-roll.ts';
import { checkRepeat, type RepeatReport } from '../repeat/check-repeat.ts';
import { closeNumbers, type NumberProof } from '../repeat/close-numbers.ts';
import type { RepeatUnit } from '../repeat/repeat-unit.ts';
import { parseResolution } from '../units/resolution.ts';
import { compile } from './compile-design.ts';
import type { Design } from './design-schema.ts';
import { missesOfPlaid } from './plaid/prove-plaid.ts';

/** The repeat check of a design at its own resolution, or at another; `roll` when the usual proof is too much. */
export function checkDesign(design: Design, resolution = design.resolution, roll = paintRoll): RepeatReport {
  const unit = compile(design);
  return checkRepeat(unit, parseResolution(resolution), roll, proveNumbers(design, unit));
}

/** The cells' own proof, and that of the sequences and the weave, which does not look at the cells. */
export function proveNumbers({ construction, shades }: Design, unit: RepeatUnit): NumberProof {
  const cells = closeNumbers(unit);
  const { width, height } = unit.content;
  const [ends, picks] = missesOfPlaid(construction, shades, { ends: width, picks: height });
  const differing = [cells.differing[0] + ends, cells.differing[1] + picks] as const;
  return { ...cells, closed: differing[0] + differing[1] === 0, differing };
}
