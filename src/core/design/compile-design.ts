import type { Partition } from '../faces/partition.ts';
import type { Marks, RepeatUnit } from '../repeat/repeat-unit.ts';
import type { Cells } from '../thread/cells.ts';
import { kindFor } from './constructions.ts';
import type { Design, MotifDesign, PlaidDesign, StripeDesign, TilingDesign } from './design-schema.ts';

/**
 * The exact repeat of a design: the one way from its numbers to anything that is shown, checked or sent.
 * @throws CoreError of the construction
 */
export function compile(design: PlaidDesign): RepeatUnit<Cells>;
export function compile(design: StripeDesign): RepeatUnit<Partition>;
export function compile(design: TilingDesign): RepeatUnit<Partition | Marks>;
export function compile(design: MotifDesign): RepeatUnit<Marks>;
export function compile(design: Design): RepeatUnit;
export function compile(design: Design): RepeatUnit {
  const { construction } = design;
  return kindFor(construction).compile(construction, design);
}
