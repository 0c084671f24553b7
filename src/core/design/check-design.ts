import { paintRoll } from '../paint/paint-roll.ts';
import { checkRepeat, type RepeatReport } from '../repeat/check-repeat.ts';
import { closeNumbers, type NumberProof } from '../repeat/close-numbers.ts';
import type { RepeatUnit } from '../repeat/repeat-unit.ts';
import { parseResolution } from '../units/resolution.ts';
import { bandScale, compile } from './compile-design.ts';
import type { Design } from './design-schema.ts';
import { missesOfPlaid } from './plaid/prove-plaid.ts';
import { missesOfStripe } from './stripe/prove-stripe.ts';
import { missesOfTiling } from './tiling/tiling-facts.ts';

/** The repeat check of a design at its own resolution, or at another; `roll` when the usual proof is too much. */
export function checkDesign(design: Design, resolution = design.resolution, roll = paintRoll): RepeatReport {
  const unit = compile(design);
  return checkRepeat(unit, parseResolution(resolution), roll, proveNumbers(design, unit));
}

/** The content's own proof, and that of the construction's numbers, which does not look at how it was compiled. */
export function proveNumbers(design: Design, unit: RepeatUnit): NumberProof {
  const { construction, shades } = design;
  const proof = closeNumbers(unit);
  if (construction.kind === 'stripe' && proof.kind === 'partition') {
    const misses = missesOfStripe(construction, bandScale(design), unit);
    return { ...proof, misses, closed: proof.closed && misses === 0 };
  }
  if (construction.kind === 'tiling' && proof.kind === 'partition') {
    const misses = missesOfTiling(construction, unit);
    return { ...proof, misses, closed: proof.closed && misses === 0 };
  }
  if (construction.kind === 'plaid' && proof.kind === 'cells' && unit.content.kind === 'cells') {
    const { width, height } = unit.content;
    const [ends, picks] = missesOfPlaid(construction, shades, { ends: width, picks: height });
    const differing = [proof.differing[0] + ends, proof.differing[1] + picks] as const;
    return { ...proof, closed: differing[0] + differing[1] === 0, differing };
  }
  throw new Error(`expected content of its own for a ${construction.kind}, got ${proof.kind}`);
}
