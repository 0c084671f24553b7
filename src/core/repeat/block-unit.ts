import { multiply, rational } from '../exact/rational.ts';
import { scaleSurd, surdToNumber } from '../exact/surd.ts';
import type { Block } from './block-cells.ts';
import { contentKind } from './contents.ts';
import type { RepeatUnit } from './repeat-unit.ts';

export type { Block };

/** Whether a block of repeats is small enough to be painted as one. */
export function isBlock({ content }: RepeatUnit, block: Block): boolean {
  return contentKind(content).isBlock(content, block);
}

/** The same pattern, of which a block of repeats counts as one: what does not close on whole pixels may in a block. */
export function blockUnit(unit: RepeatUnit, block: Block): RepeatUnit {
  if (block.across === 1 && block.down === 1) return unit;
  const { lattice, repeat, pitch, grid } = unit;
  const near = { x: surdToNumber(pitch.x), y: surdToNumber(pitch.y) };
  const content = contentKind(unit.content).block(unit.content, block, near);
  const longer = { x: rational(block.across), y: rational(block.down) };
  // What is measured in repeats has a longer one.
  if (grid.step === 'mm') {
    return { ...unit, content, pitch: { x: scaleSurd(pitch.x, longer.x), y: scaleSurd(pitch.y, longer.y) } };
  }
  return {
    ...unit,
    content,
    grid: { ...grid, ends: grid.ends * block.across, picks: grid.picks * block.down },
    lattice: [
      { x: multiply(lattice[0].x, longer.x), y: lattice[0].y },
      { x: lattice[1].x, y: multiply(lattice[1].y, longer.y) },
    ],
    repeat: repeat && {
      width: multiply(repeat.width, longer.x),
      height: multiply(repeat.height, longer.y),
    },
  };
}
