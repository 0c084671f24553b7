import type { RepeatUnit } from '../repeat/repeat-unit.ts';
import { type ClothMarks, markCells } from '../thread/mark-cells.ts';
import { wovenOf } from './design-facts.ts';
import type { Design } from './design-schema.ts';
import { laidStructure } from './plaid/laid-plaid.ts';

/** A woven design's unit with long floats and loose threads marked; any other unit as it is. */
export function markedUnit(unit: RepeatUnit, design: Design, marks: ClothMarks): RepeatUnit {
  if (marks.floatLimit === 0 && !marks.layers) return unit;
  const woven = wovenOf(design);
  if (woven === undefined || unit.content.kind !== 'cells') return unit;
  return { ...unit, content: markCells(unit.content, laidStructure(woven), marks) };
}
