import { strongParts } from '../../exact/strong-parts.ts';
import type { SolvedOrder } from './solve-order.ts';
import { cellAt, cellCount, stepOfCell } from './strap-cells.ts';
import type { StrapNet } from './strap-net.ts';
import type { OrderRule } from './strap-order.ts';
import { addSteps, lessSteps } from './strap-torus.ts';

/** A crossing that is turned by hand: the strap that would go under goes over. */
export interface TurnedCrossing {
  readonly piece: number;
  /** Which of the piece's lines, and which crossing along the strap that begins with it. */
  readonly line: number;
  readonly pass: number;
  readonly cell: number;
}

/** Which strap goes over, at every crossing of every cell. */
export interface StrapCourse {
  readonly net: StrapNet;
  readonly solved: SolvedOrder;
  /** By crossing, then by cell: which of its passages goes over. */
  readonly over: Uint8Array;
}

/** @param swapped  whether each strap goes where the other would */
export function courseOf(
  net: StrapNet,
  rule: OrderRule,
  solved: SolvedOrder,
  { swapped, turned }: { readonly swapped: boolean; readonly turned: readonly TurnedCrossing[] },
): StrapCourse {
  const count = cellCount(solved.cells);
  const over = Uint8Array.from(solved.labels, (label, at) => {
    const which = rule.over(Math.floor(at / count), label);
    return swapped ? 1 - which : which;
  });
  for (const { piece, line, pass, cell } of turned) {
    const strap = net.straps.findIndex(({ name }) => name.piece === piece && name.line === line);
    const place = net.routes[strap]?.[pass];
    if (place === undefined || cell >= count) continue;
    const at = place.crossing * count + cell;
    over[at] = 1 - over[at]!;
  }
  return { net, solved, over };
}

/** A strap of all cells: where it comes round in another cell than it began in, it goes on there. */
export interface WholeStrap {
  /** Whether it comes back to its own start. */
  readonly closed: boolean;
  /** Whether it goes on through the cloth, or has two ends. */
  readonly runs: 'round' | 'on' | 'ends';
  /** Millimetres. */
  readonly length: number;
  readonly crossings: number;
  readonly overs: number;
}

/** How straps of all cells lie over each other. */
export interface StrapFacts {
  readonly straps: readonly WholeStrap[];
  /** Over and under are indexes of straps. */
  readonly crossings: readonly {
    readonly at: { readonly x: number; readonly y: number };
    readonly over: number;
    readonly under: number;
    readonly name: TurnedCrossing;
  }[];
  /** Straps that fall apart from others, those on top first; one when all hang together. */
  readonly layers: readonly (readonly number[])[];
}

export function strapFacts({ net, solved, over }: StrapCourse): StrapFacts {
  const { cells } = solved;
  const count = cellCount(cells);
  const strapAt = new Int32Array(net.straps.length * count).fill(-1);
  const straps: { -readonly [K in keyof WholeStrap]: WholeStrap[K] }[] = [];
  for (let start = 0; start < strapAt.length; start += 1) {
    if (strapAt[start] !== -1) continue;
    const index = Math.floor(start / count);
    const { comes } = net.straps[index]!;
    const runs = comes === null ? 'ends' : comes[0] === 0 && comes[1] === 0 ? 'round' : 'on';
    const whole = { closed: comes !== null, runs, length: 0, crossings: 0, overs: 0 } as const;
    straps.push({ ...whole });
    for (let cell = start % count; strapAt[index * count + cell] === -1; ) {
      strapAt[index * count + cell] = straps.length - 1;
      straps.at(-1)!.length += net.ways[index]!.length;
      if (comes !== null) cell = cellAt(cells, addSteps(stepOfCell(cells, cell), comes));
    }
  }
  const crossings = net.crossings.flatMap(({ passages, at }, crossing) =>
    Array.from({ length: count }, (_, cell) => {
      const step = stepOfCell(cells, cell);
      const [first, second] = passages.map(
        ({ strap, step: by }) => strapAt[strap * count + cellAt(cells, lessSteps(step, by))]!,
      ) as [number, number];
      const isFirst = over[crossing * count + cell] === 0;
      straps[first]!.crossings += 1;
      straps[second]!.crossings += 1;
      straps[isFirst ? first : second]!.overs += 1;
      const { a, b } = net.torus;
      const [i, j] = step;
      const place = { x: at.x + i * a.x + j * b.x, y: at.y + i * a.y + j * b.y };
      const { strap } = passages[0];
      const pass = net.routes[strap]!.findIndex((each) => each.crossing === crossing);
      const name = { ...net.straps[strap]!.name, pass, cell };
      return { at: place, name, over: isFirst ? first : second, under: isFirst ? second : first };
    }),
  );
  const below = straps.map((): number[] => []);
  for (const { over: top, under } of crossings) below[top]!.push(under);
  const layers = strongParts({
    count: straps.length,
    width: (strap) => below[strap]!.length,
    target: (strap, at) => below[strap]![at]!,
  });
  return { straps, crossings, layers };
}
