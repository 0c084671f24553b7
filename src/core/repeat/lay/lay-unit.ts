import { CoreError } from '../../error.ts';
import { divide, rational } from '../../exact/rational.ts';
import { equalSurds, scaleSurd, surdToNumber } from '../../exact/surd.ts';
import type { Vector } from '../../exact/vector.ts';
import { blockUnit } from '../block-unit.ts';
import { overAll } from '../plies/over-all.ts';
import type { Lattice, RepeatUnit } from '../repeat-unit.ts';
import { type Arranged, coversOnce, isStraight, type SixtyLay } from './arranged.ts';
import { placesOf } from './box-places.ts';
import { layCells, type Pivots } from './lay-cells.ts';
import { layPartition } from './lay-faces.ts';
import { layMarks, laySixtyMarks } from './lay-marks.ts';
import { isOnSixty, laySixty } from './lay-sixty.ts';

/**
 * Sets one repeat of a pattern, as a box, side by side with itself as a lay says. Threads are laid whole: where they
 * cannot be, the lattice says what was asked, and the repeat check what does not close.
 *
 * @param pivots  how threads meet their mirror images
 * @throws CoreError "lay/no-repeat" for a pattern without one; "lay/sixty" for third and sixth turns; "lay/square" for
 * quarter turns of what is none; "lay/gaps" where boxes overlap or leave gaps; as `stepsOf`; "repeat/too-large" for
 * threads, "lay/faces" for faces, as `overAll` for plies
 */
export function layUnit(unit: RepeatUnit, lay: Arranged, pivots: Pivots = 'doubled'): RepeatUnit {
  if (isStraight(lay)) return unit;
  if (unit.repeat === null) throw new CoreError('lay/no-repeat', {});
  const { content, pitch } = unit;
  if (content.kind === 'plies') return overAll({ ...unit, content }, (each) => layUnit(each, lay, pivots));
  if (lay.kind === 'sixty') return laidSixty(unit, lay);
  if (!coversOnce(lay)) throw new CoreError('lay/gaps', {});
  if (content.kind === 'cells') return layCells({ ...unit, content }, lay, pivots);
  if (lay.square && !equalSurds(pitch.x, pitch.y)) throw new CoreError('lay/square', {});
  const { across, up } = placesOf(lay);
  const near = { x: surdToNumber(pitch.x), y: surdToNumber(pitch.y) };
  const inRepeats = ({ x, y }: Vector): Vector => ({ x: divide(x, across), y: divide(y, up) });
  const lattice: Lattice = [inRepeats(lay.ways[0]), inRepeats(lay.ways[1])];
  return {
    ...unit,
    lattice,
    repeat: { width: rational(1), height: rational(1) },
    pitch: { x: scaleSurd(pitch.x, across), y: scaleSurd(pitch.y, up) },
    content: content.kind === 'marks' ? layMarks(content, lay, near) : layPartition(content, lay),
  };
}

/** Third and sixth turns of faces on a lattice of 60°; a repeat holds two cells of it. @throws CoreError "lay/sixty" */
function laidSixty(built: RepeatUnit, { group }: SixtyLay): RepeatUnit {
  // Of a lattice that stands upright three repeats above each other are as high as they have to be.
  const { x, y } = built.pitch;
  const unit = isOnSixty({ width: y, height: x }) ? blockUnit(built, { across: 1, down: 3 }) : built;
  const { content, pitch } = unit;
  if (content.kind === 'plies') throw new Error('expected one of the plies');
  if (content.kind === 'cells' || !isOnSixty({ width: pitch.x, height: pitch.y })) {
    throw new CoreError('lay/sixty', {});
  }
  const half = rational(1, 2);
  const zero = rational(0);
  return {
    ...unit,
    lattice: [
      { x: rational(1), y: zero },
      { x: half, y: half },
    ],
    content:
      content.kind === 'partition'
        ? laySixty(content, group)
        : laySixtyMarks(content, group, { x: surdToNumber(pitch.x), y: surdToNumber(pitch.y) }),
  };
}
