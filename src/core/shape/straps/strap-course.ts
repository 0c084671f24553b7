import { strongParts } from '../../exact/strong-parts.ts';
import type { SolvedOrder } from './solve-order.ts';
import { cellAt, cellCount, stepOfCell } from './strap-cells.ts';
import type { StrapNet } from './strap-net.ts';
import type { OrderRule } from './strap-order.ts';
import { addSteps, lessSteps, stepped } from './strap-torus.ts';

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
  /** Whether it closes in the plane, goes on through the cloth, or has two ends. */
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

export function strapFacts(course: StrapCourse): StrapFacts {
  const { net, solved, over } = course;
  const { cells } = solved;
  const count = cellCount(cells);
  const { strapAt, lengths, runs } = wholeStraps(course);
  const crossings = net.crossings.flatMap(({ passages, at }, crossing) => {
    const { strap } = passages[0];
    const pass = net.routes[strap]!.findIndex((each) => each.crossing === crossing);
    return Array.from({ length: count }, (_, cell) => {
      const step = stepOfCell(cells, cell);
      const [first, second] = passages.map(
        (passage) => strapAt[passage.strap * count + cellAt(cells, lessSteps(step, passage.step))]!,
      ) as [number, number];
      const isFirst = over[crossing * count + cell] === 0;
      return {
        at: stepped(net.torus, at, step),
        over: isFirst ? first : second,
        under: isFirst ? second : first,
        name: { ...net.straps[strap]!.name, pass, cell },
      };
    });
  });
  const below = lengths.map((): number[] => []);
  const above = lengths.map(() => 0);
  for (const { over: top, under } of crossings) {
    below[top]!.push(under);
    above[under]! += 1;
  }
  const layers = strongParts({
    count: lengths.length,
    width: (strap) => below[strap]!.length,
    target: (strap, at) => below[strap]![at]!,
  });
  const straps = lengths.map((length, strap): WholeStrap => {
    const overs = below[strap]!.length;
    return { runs: runs[strap]!, length, crossings: overs + above[strap]!, overs };
  });
  return { straps, crossings, layers };
}

/** Whether every strap goes over and under in turn all along, as they lie. */
export function isInTurn({ net, solved: { cells }, over }: StrapCourse): boolean {
  const count = cellCount(cells);
  return net.straps.every(({ comes }, strap) => {
    const route = net.routes[strap]!;
    const passesIn = (cell: number) =>
      route.map(({ crossing, which }) => {
        const { step } = net.crossings[crossing]!.passages[which];
        const at = cellAt(cells, addSteps(stepOfCell(cells, cell), step));
        return over[crossing * count + at] === which;
      });
    return Array.from({ length: count }, (_, cell) => cell).every((cell) => {
      const passes = passesIn(cell);
      const next = comes === null ? [] : passesIn(cellAt(cells, addSteps(stepOfCell(cells, cell), comes)));
      const along = [...passes, ...next.slice(0, 1)];
      return along.every((isOver, at) => at === 0 || isOver !== along[at - 1]);
    });
  });
}

/** Straps that go on in another cell of those that repeat together are one there. */
function wholeStraps({ net, solved }: StrapCourse) {
  const { cells } = solved;
  const count = cellCount(cells);
  /** By strap of one cell, then by cell. */
  const strapAt = new Int32Array(net.straps.length * count).fill(-1);
  const lengths: number[] = [];
  const runs: WholeStrap['runs'][] = [];
  for (let start = 0; start < strapAt.length; start += 1) {
    if (strapAt[start] !== -1) continue;
    const index = Math.floor(start / count);
    const { comes } = net.straps[index]!;
    let length = 0;
    for (let cell = start % count; strapAt[index * count + cell] === -1; ) {
      strapAt[index * count + cell] = lengths.length;
      length += net.ways[index]!.length;
      if (comes !== null) cell = cellAt(cells, addSteps(stepOfCell(cells, cell), comes));
    }
    lengths.push(length);
    runs.push(comes === null ? 'ends' : comes[0] === 0 && comes[1] === 0 ? 'round' : 'on');
  }
  return { strapAt, lengths, runs };
}
