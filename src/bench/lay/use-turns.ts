import type { Design } from '../../core/design/design-schema.ts';
import { outcomeOf } from '../../wording/attempt.ts';
import type { ShownTurn } from '../../workers/cloth-worker.ts';
import { useWorked } from '../state/use-worked.ts';

interface Turns {
  /** The angle that they were worked out for. */
  readonly degrees: number | undefined;
  readonly turns: readonly ShownTurn[] | undefined;
  /** Most repeats that they may hold. */
  readonly most: number | undefined;
  readonly problem: string | undefined;
}

/** Turns near an angle after which a design repeats upright, worked out in a worker; the newest angle wins. */
export function useTurns(design: Design, degrees: number): Turns {
  const { slope: _, ...level } = design.lay;
  const answer = useWorked(
    { design, degrees },
    async (api, wish) => api.turns(wish.design, wish.degrees),
    JSON.stringify([design.construction, level, design.resolution, degrees]),
  );
  const found = outcomeOf(answer);
  return {
    degrees: answer?.request.degrees,
    turns: found?.turns,
    most: found?.most,
    problem: answer !== undefined && 'problem' in answer ? answer.problem : undefined,
  };
}
