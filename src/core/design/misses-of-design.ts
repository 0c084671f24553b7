import { missesOfLay } from '../repeat/lay/lay-proof.ts';
import type { RepeatUnit } from '../repeat/repeat-unit.ts';
import { compileUnit } from './compile-design.ts';
import { kindFor } from './constructions.ts';
import type { Design } from './design-schema.ts';
import { arrange } from './lay/arrange.ts';
import { inUnits } from './lay/lay-design.ts';

/**
 * How much of a design does not follow from its numbers and its lay, found without looking at how it was compiled.
 * @param unit  of the design, laid
 * @throws CoreError of the construction
 */
export function missesOfDesign(design: Design, unit: RepeatUnit): number {
  const { construction, lay } = design;
  const { arrangement, scale, slope } = lay;
  const isLaid = arrangement.kind !== 'straight' || scale !== null || slope !== null;
  const built = isLaid ? compileUnit(design) : unit;
  return kindFor(construction).misses(construction, design, built) + missesOfArrangement(design, built, unit);
}

/** How much of threads does not follow from how they are laid. */
function missesOfArrangement({ lay }: Design, built: RepeatUnit, { content }: RepeatUnit): number {
  if (content.kind !== 'cells' || built.content.kind !== 'cells' || lay.arrangement.kind !== 'group')
    return 0;
  const arranged = arrange(lay.arrangement, inUnits(built));
  if (arranged.kind !== 'boxes') return 0;
  return missesOfLay(content, arranged, built.content, lay.pivots === 'shared');
}
