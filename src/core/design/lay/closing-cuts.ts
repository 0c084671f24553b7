import { CoreError } from '../../error.ts';
import { divide, floor, rational, toText } from '../../exact/rational.ts';
import { type ThreadCut, threadCuts } from '../../repeat/check-repeat.ts';
import { threadLattice } from '../../repeat/lay/lay-cells.ts';
import { gridCuts, type RepeatUnit } from '../../repeat/repeat-unit.ts';
import type { ClosingCount } from '../../thread/closing-counts.ts';
import { scaleTo } from '../../thread/rework.ts';
import { threadCount } from '../../thread/sequence.ts';
import { compile, compileUnit } from '../compile-design.ts';
import type { Direction } from '../construction.ts';
import { kindFor } from '../constructions.ts';
import type { Design } from '../design-schema.ts';
import { arrange } from './arrange.ts';
import { inUnits } from './lay-design.ts';
import { MOST_STEP_PART } from './lay-numbers.ts';
import { withStep } from './with-step.ts';

/**
 * Where the lay of a design would cut threads, with what closes: each offer was made, and cuts none the same way.
 * @param unit  of the design, laid
 */
export function cutsOfDesign(design: Design, unit: RepeatUnit): readonly ThreadCut[] {
  return threadCuts(unit).map((cut) => ({
    ...cut,
    closing: closingCountsOf(design, cut.of),
    steps: closingSteps(design, cut),
  }));
}

type Threads = ThreadCut['of'];

/** The direction whose bands make the threads of a cut. */
function directionOf(of: Threads): Direction {
  return of === 'ends' ? 'warp' : 'weft';
}

/** The numbers of threads nearest to those laid out, below and above, that close; bands scaled in proportion. */
function closingCountsOf(design: Design, of: Threads): readonly ClosingCount[] {
  const { construction } = design;
  const { banded } = kindFor(construction);
  const direction = directionOf(of);
  if (banded === undefined || banded.measured || !banded.railsOf(construction).includes(direction)) return [];
  const sequence = banded.sequenceOf(construction, direction, design);
  const now = threadCount(sequence);
  const closing = (threads: number): ClosingCount | undefined => {
    try {
      const bands = scaleTo(sequence, threads);
      if (threadCount({ ...sequence, bands }) !== threads) return undefined;
      const made = banded.withSequence(construction, direction, { ...sequence, bands }, design);
      const changed = { ...design, construction: made };
      return isWholeIn(changed, of) && closes(changed, of) ? { threads, bands } : undefined;
    } catch (error) {
      // So few threads do not hold its bands.
      if (error instanceof CoreError) return undefined;
      throw error;
    }
  };
  const nearest = (way: 1 | -1): readonly ClosingCount[] => {
    for (let by = 1; by <= MOST_STEP_PART && now + way * by >= 1; by += 1) {
      const found = closing(now + way * by);
      if (found !== undefined) return [found];
    }
    return [];
  };
  return [...nearest(-1), ...nearest(1)];
}

/** The nearest other steps that close, as they are typed. */
function closingSteps(design: Design, { of, step }: ThreadCut): readonly string[] {
  const { arrangement } = design.lay;
  return stepsNear(design, { of, step }).filter((by) => {
    const other = withStep(arrangement, of, by);
    return other !== undefined && closes({ ...design, lay: { ...design.lay, arrangement: other } }, of);
  });
}

function stepsNear(design: Design, { of, step }: Pick<ThreadCut, 'of' | 'step'>): readonly string[] {
  const { arrangement } = design.lay;
  if (arrangement.kind === 'free') return [toText(rational(floor(step))), toText(rational(floor(step) + 1n))];
  if (!('by' in arrangement)) return [];
  const { grid } = compileUnit(design);
  if (grid.step === 'mm') return [];
  const threads = of === 'ends' ? grid.ends : grid.picks;
  const below = Number(floor(step));
  const part = (count: number) => divide(rational(count), rational(threads));
  const isTyped = (count: number) => count > 0 && count < threads && part(count).d <= BigInt(MOST_STEP_PART);
  const nearest = (from: number, way: 1 | -1) => {
    for (let count = from; count > 0 && count < threads; count += way) {
      if (isTyped(count)) return [toText(part(count))];
    }
    return [];
  };
  return [...nearest(below, -1), ...nearest(below + 1, 1)];
}

/** Whether a design's lay, as far as its lattice says, cuts none of its threads one way. */
function isWholeIn(design: Design, of: Threads): boolean {
  const { lay } = design;
  const unit = compileUnit(design);
  const { grid } = unit;
  if (grid.step === 'mm') return false;
  const arranged = arrange(lay.arrangement, inUnits(unit));
  if (arranged.kind === 'sixty') return false;
  const lattice = threadLattice({ width: grid.ends, height: grid.picks }, arranged, lay.pivots);
  return gridCuts({ grid, lattice }).every((cut) => cut.of !== of);
}

/** Whether a design can be made, and cuts none of its threads one way. */
function closes(design: Design, of: Threads): boolean {
  try {
    return threadCuts(compile(design)).every((cut) => cut.of !== of);
  } catch (error) {
    if (error instanceof CoreError) return false;
    throw error;
  }
}
