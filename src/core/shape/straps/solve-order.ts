import type { LabelGroup } from './label-group.ts';
import { cellAt, cellCount, latticesOf, type StrapCells, stepOfCell } from './strap-cells.ts';
import type { OrderRule } from './strap-order.ts';
import { addSteps, lessSteps, NO_STEP, type Step } from './strap-torus.ts';

/** A number for each crossing of some cells. */
export interface SolvedOrder {
  readonly cells: StrapCells;
  /** By crossing, then by cell. */
  readonly labels: Int32Array;
  /** Ties that are not kept: where a strap goes over or under twice in turn. */
  readonly broken: number;
}

/** Numbers crossings from the first of all that hang together, whose number is 0, along ties. */
export function solveOrder(
  crossings: number,
  { labels: group, ties }: OrderRule,
  cells: StrapCells,
): SolvedOrder {
  const count = cellCount(cells);
  const labels = new Int32Array(crossings * count).fill(-1);
  const from = tiesByCrossing(crossings, { labels: group, ties });
  for (let start = 0; start < labels.length; start += 1) {
    if (labels[start] !== -1) continue;
    labels[start] = 0;
    const waiting = [start];
    for (let at = waiting.pop(); at !== undefined; at = waiting.pop()) {
      const crossing = Math.floor(at / count);
      const step = stepOfCell(cells, at % count);
      for (const { to, by, adds } of from[crossing]!) {
        const next = to * count + cellAt(cells, addSteps(step, by));
        if (labels[next] !== -1) continue;
        labels[next] = group.sum(labels[at]!, adds);
        waiting.push(next);
      }
    }
  }
  let broken = 0;
  for (const { from: start, to, step, adds } of ties) {
    for (let cell = 0; cell < count; cell += 1) {
      const end = to * count + cellAt(cells, addSteps(stepOfCell(cells, cell), step));
      if (group.sum(labels[start * count + cell]!, adds) !== labels[end]!) broken += 1;
    }
  }
  return { cells, labels, broken };
}

interface Way {
  readonly to: number;
  readonly by: Step;
  readonly adds: number;
}

function tiesByCrossing(
  crossings: number,
  { labels, ties }: Pick<OrderRule, 'labels' | 'ties'>,
): readonly (readonly Way[])[] {
  const from = Array.from({ length: crossings }, (): Way[] => []);
  for (const { from: start, to, step, adds } of ties) {
    from[start]!.push({ to, by: step, adds });
    from[to]!.push({ to: start, by: lessSteps(NO_STEP, step), adds: labels.inverse(adds) });
  }
  return from;
}

/** What a number has changed by where ties lead back to the same crossing, so many vectors away. */
interface Round {
  readonly step: Step;
  readonly adds: number;
}

/** Rounds that all others of crossings which hang together are made of. */
type Rounds = readonly Round[];

function roundsOf(crossings: number, { labels: group, ties }: OrderRule): readonly Rounds[] {
  const from = tiesByCrossing(crossings, { labels: group, ties });
  const reached: ({ step: Step; label: number; part: number } | undefined)[] = Array.from({
    length: crossings,
  });
  const parts: Map<string, Round>[] = [];
  for (let start = 0; start < crossings; start += 1) {
    if (reached[start] !== undefined) continue;
    const rounds = new Map<string, Round>();
    reached[start] = { step: NO_STEP, label: 0, part: parts.length };
    const waiting = [start];
    for (let at = waiting.pop(); at !== undefined; at = waiting.pop()) {
      const here = reached[at]!;
      for (const { to, by, adds } of from[at]!) {
        const step = addSteps(here.step, by);
        const label = group.sum(here.label, adds);
        const known = reached[to];
        if (known === undefined) {
          reached[to] = { step, label, part: parts.length };
          waiting.push(to);
          continue;
        }
        const round = {
          step: lessSteps(step, known.step),
          adds: group.sum(label, group.inverse(known.label)),
        };
        rounds.set(`${round.step} ${round.adds}`, round);
      }
    }
    parts.push(rounds);
  }
  return parts.map((rounds) => [...rounds.values()]);
}

/**
 * Whether numbers of some cells can keep all ties: no rounds put together come back to the same cell with another number.
 * All that they come to is looked at, cell by cell and number by number.
 */
function fits(rounds: Rounds, cells: StrapCells, group: LabelGroup): boolean {
  const seen = new Uint8Array(cellCount(cells) * group.count);
  const waiting: Round[] = [{ step: NO_STEP, adds: 0 }];
  seen[0] = 1;
  for (let here = waiting.pop(); here !== undefined; here = waiting.pop()) {
    for (const round of rounds) {
      const cell = cellAt(cells, addSteps(here.step, round.step));
      const adds = group.sum(here.adds, round.adds);
      if (cell === 0 && adds !== 0) return false;
      if (seen[cell * group.count + adds] === 1) continue;
      seen[cell * group.count + adds] = 1;
      waiting.push({ step: stepOfCell(cells, cell), adds });
    }
  }
  return true;
}

/** Most cells that an order may take. */
export const MAX_CELLS = 64;

/**
 * The fewest cells in which an order can be kept: one, or several lattices of as many cells to choose from.
 * @returns none where no lattice of up to `MAX_CELLS` cells will do
 */
export function cellsFor(crossings: number, rule: OrderRule): readonly StrapCells[] {
  const parts = roundsOf(crossings, rule);
  // In as many cells each way as there are numbers, whatever a round adds comes to 0 again.
  const most = Math.min(MAX_CELLS, rule.labels.count ** 2);
  for (let count = 1; count <= most; count += 1) {
    const fitting = latticesOf(count).filter((cells) =>
      parts.every((rounds) => fits(rounds, cells, rule.labels)),
    );
    if (fitting.length > 0) return fitting;
  }
  return [];
}

/** Whether an order can be kept in some cells. */
export function isKeptIn(crossings: number, rule: OrderRule, cells: StrapCells): boolean {
  return roundsOf(crossings, rule).every((rounds) => fits(rounds, cells, rule.labels));
}
