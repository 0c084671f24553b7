import { cellAt, cellCount } from './strap-cells.ts';
import type { StrapCourse } from './strap-course.ts';
import { addSteps, NO_STEP, type Step } from './strap-torus.ts';
import { roundStep } from './strap-way.ts';
import { type UnderPass, underPass } from './under-cut.ts';

/**
 * Where a strap goes under; where it comes round, a round before and after as well.
 * @param step  vectors of the lattice by which the strap lies further than it is noted
 */
export function underPasses(course: StrapCourse, strap: number, step: Step): readonly UnderPass[] {
  const { net } = course;
  const way = net.ways[strap]!;
  return (way.strap.comes === null ? [0] : [-1, 0, 1]).flatMap((round) => {
    const reached = roundStep(way, round);
    return net.routes[strap]!.flatMap(({ crossing, which }) =>
      isOver(course, { crossing, which }, addSteps(step, reached))
        ? []
        : [underPass(net, { crossing, which, round, step: reached })],
    );
  });
}

/** A strap above another one, and the angle between them as an `UnderPass` has it. */
export interface OverPass extends Pick<UnderPass, 'along' | 'sine' | 'cosine'> {
  /** The style of the strap beneath. */
  readonly under: number;
}

/** Where a strap goes over others. */
export function overPasses(course: StrapCourse, strap: number, step: Step): readonly OverPass[] {
  const { net } = course;
  return net.routes[strap]!.flatMap(({ crossing, which }) => {
    if (!isOver(course, { crossing, which }, step)) return [];
    const { along, sine, cosine } = underPass(net, { crossing, which, round: 0, step: NO_STEP });
    const { passages } = net.crossings[crossing]!;
    return [{ along, sine, cosine, under: net.straps[passages[which === 0 ? 1 : 0].strap]!.style }];
  });
}

function isOver(
  { net, solved, over }: StrapCourse,
  { crossing, which }: { readonly crossing: number; readonly which: 0 | 1 },
  step: Step,
): boolean {
  const { step: by } = net.crossings[crossing]!.passages[which];
  const cell = cellAt(solved.cells, addSteps(by, step));
  return over[crossing * cellCount(solved.cells) + cell] === which;
}
