import type { Partition } from '../faces/partition.ts';
import type { Marks, RepeatUnit } from '../repeat/repeat-unit.ts';
import { NO_PICTURES, type Pictures } from '../shape/picture.ts';
import type { Cells } from '../thread/cells.ts';
import { kindFor } from './constructions.ts';
import type { Design, MotifDesign, PlaidDesign, StripeDesign, TilingDesign } from './design-schema.ts';
import { layOfDesign } from './lay/lay-design.ts';
import { pixelOf } from './lay/lay-schema.ts';
import type { PaintPicture } from './picture-schema.ts';

/**
 * The exact repeat of a design as it is laid: the one way from its numbers to anything that is shown, checked or sent.
 * @param pictures  those that are to be painted; without them all else of a design is known
 * @throws CoreError of the construction, or as `layOfDesign`
 */
export function compile(design: Design, pictures: Pictures = NO_PICTURES): RepeatUnit {
  const { construction, lay, resolution } = design;
  const kind = kindFor(construction);
  const unit = kind.compile(construction, design, pictures);
  return layOfDesign(unit, { lay, pixel: pixelOf(resolution), isArranged: kind.boxOf !== undefined });
}

/**
 * One repeat of a design before it is laid; pieces that reach out of their box are.
 * @throws CoreError of the construction
 */
export function compileUnit(design: PlaidDesign, pictures?: Pictures): RepeatUnit<Cells>;
export function compileUnit(design: StripeDesign, pictures?: Pictures): RepeatUnit<Partition>;
export function compileUnit(design: TilingDesign, pictures?: Pictures): RepeatUnit<Partition | Marks>;
export function compileUnit(design: MotifDesign, pictures?: Pictures): RepeatUnit<Marks>;
export function compileUnit(design: Design, pictures?: Pictures): RepeatUnit;
export function compileUnit(design: Design, pictures: Pictures = NO_PICTURES): RepeatUnit {
  const { construction } = design;
  return kindFor(construction).compile(construction, design, pictures);
}

/** The pictures that a design and those tried on beside it show, each once. */
export function picturesUsed({
  construction,
  tryOn,
}: Pick<Design, 'construction' | 'tryOn'>): readonly PaintPicture[] {
  const own = kindFor(construction).picturesOf?.(construction) ?? [];
  const used = [...own, ...(tryOn?.cloths ?? []).flatMap(({ design }) => picturesUsed(design))];
  return [...new Map(used.map((picture) => [picture.hash, picture])).values()];
}
