import { ONE } from '../exact/rational.ts';
import { surdToNumber } from '../exact/surd.ts';
import { paintMotions } from '../paint/paint-motions.ts';
import { paintRoll } from '../paint/paint-roll.ts';
import { checkRepeat, type LaidProof, type RepeatReport } from '../repeat/check-repeat.ts';
import { type NumberProof, withMisses } from '../repeat/close-numbers.ts';
import { closeNumbers } from '../repeat/contents.ts';
import { gridMotions } from '../repeat/lay/grid-motions.ts';
import type { RepeatUnit } from '../repeat/repeat-unit.ts';
import type { Pictures } from '../shape/picture.ts';
import { parseResolution } from '../units/resolution.ts';
import { compile } from './compile-design.ts';
import type { Design } from './design-schema.ts';
import { joinsFound } from './joins/joins-found.ts';
import { arrange } from './lay/arrange.ts';
import { cutsOfDesign } from './lay/closing-cuts.ts';
import { builtBox } from './lay/laid-box.ts';
import { symmetryOf } from './lay/lay-symmetry.ts';
import { missesOfDesign } from './misses-of-design.ts';

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
  const report = checkRepeat(unit, parseResolution(resolution), roll, proveNumbers(design, unit));
  return {
    ...report,
    cuts: cutsOfDesign(design, unit),
    laid: proveLay(design, unit, pictures),
    joins: joinsFound(design, unit, pictures),
  };
}

/** Whether what is copied by a plane group has it; null where nothing is. */
function proveLay(design: Design, unit: RepeatUnit, pictures: Pictures | undefined): LaidProof | null {
  const { arrangement, pivots, scale, slope } = design.lay;
  if (arrangement.kind !== 'group') return null;
  const level = { ...design, lay: { ...design.lay, scale: null, slope: null } };
  const laid = scale === null && slope === null ? unit : compile(level, pictures);
  const { width, height, counted } = builtBox(level)!;
  const built =
    counted.by === 'threads'
      ? { width: Number(counted.across), height: Number(counted.up) }
      : { width: surdToNumber(width), height: surdToNumber(height) };
  const arranged = arrange(arrangement, { way: () => ONE });
  const motions = gridMotions(arranged, built, laid, pivots);
  return {
    asked: arrangement.group,
    found: symmetryOf(laid)?.group ?? null,
    images: motions === undefined ? null : paintMotions(laid, motions),
  };
}

/**
 * The content's own proof, that of the construction's numbers, and that of the lay; none looks at how it was compiled.
 * @param unit  of the design, laid
 */
export function proveNumbers(design: Design, unit: RepeatUnit): NumberProof {
  return withMisses(closeNumbers(unit), missesOfDesign(design, unit));
}
