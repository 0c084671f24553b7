import { closeCrossings } from '../../shape/straps/close-crossings.ts';
import { cellsFor, isKeptIn } from '../../shape/straps/solve-order.ts';
import { latticesOf, type StrapCells } from '../../shape/straps/strap-cells.ts';
import { isInTurn, strapFacts, type TurnedCrossing } from '../../shape/straps/strap-course.ts';
import type { StrapFlaw } from '../../shape/straps/strap-net.ts';
import { orderRule } from '../../shape/straps/strap-order.ts';
import type { StrapStyle } from '../../shape/straps/strap-style.ts';
import { toMillionth } from '../../units/to-millionth.ts';
import type { StrapWork } from './strap-work.ts';

/** The three lattices of two boxes, by which way the boxes lie beside each other. */
export type Doubling = 'across' | 'up' | 'diagonal';

const DOUBLINGS: Readonly<Record<Doubling, StrapCells>> = {
  across: { across: 2, shift: 0, up: 1 },
  up: { across: 1, shift: 0, up: 2 },
  diagonal: { across: 2, shift: 1, up: 1 },
};

/** How straps lie over each other. Lengths and places are in millimetres, straps counted from 0. */
export interface StrapReport {
  readonly straps: readonly {
    /** Whether it comes back to its start, in the plane or a repeat further. */
    readonly closed: boolean;
    readonly length: number;
    readonly crossings: number;
    readonly overs: number;
  }[];
  readonly crossings: readonly {
    readonly at: readonly [x: number, y: number];
    readonly over: number;
    readonly under: number;
    /** By which it is turned by hand. */
    readonly name: TurnedCrossing;
  }[];
  /** Whether every strap goes over and under in turn, as they lie. */
  readonly alternates: boolean;
  /** Whether they could in the boxes that repeat together. */
  readonly canAlternate: boolean;
  /** Which two boxes make it so where one does not; null where one does, or none. */
  readonly doubling: Doubling | null;
  /** Whether the order that was chosen comes out, and the fewest boxes in which it does. */
  readonly kept: boolean;
  readonly needs: StrapCells | null;
  /** What one repeat is then, in millimetres; left out where it stays. */
  readonly becomes?: { readonly width: number; readonly height: number };
  readonly hangsTogether: boolean;
  /** Straps that fall apart from each other, those on top first. */
  readonly layers: readonly (readonly number[])[];
  readonly flaws: readonly StrapFlaw[];
}

/** @param styles  of the straps, by their numbers */
export function strapReport(
  { net, rule, solved, course }: StrapWork,
  styles: readonly StrapStyle[],
): StrapReport {
  const { straps, crossings, layers } = strapFacts(course);
  const count = net.crossings.length;
  const inTurn = orderRule(net, { by: 'turns' });
  const canAlternate = isKeptIn(count, inTurn, solved.cells);
  const doublings = canAlternate ? [] : latticesOf(2).filter((cells) => isKeptIn(count, inTurn, cells));
  const [needs] = cellsFor(count, rule);
  return {
    straps: straps.map(({ runs, length, crossings: met, overs }) => ({
      closed: runs !== 'ends',
      length,
      crossings: met,
      overs,
    })),
    crossings: crossings.map(({ at: { x, y }, over, under, name }) => ({ at: [x, y], over, under, name })),
    alternates: isInTurn(course),
    canAlternate,
    doubling: doublingOf(doublings[0]),
    kept: solved.broken === 0,
    needs: needs ?? null,
    hangsTogether: layers.length === 1,
    layers,
    flaws: [...net.flaws, ...closeCrossings(net, styles)],
  };
}

function doublingOf(cells: StrapCells | undefined): Doubling | null {
  const names = Object.keys(DOUBLINGS) as Doubling[];
  return names.find((name) => cells !== undefined && sameCells(DOUBLINGS[name], cells)) ?? null;
}

export function sameCells(one: StrapCells, other: StrapCells): boolean {
  return one.across === other.across && one.shift === other.shift && one.up === other.up;
}

/** The same as JSON, lengths and places in millimetres to a millionth. */
export function strapJson(report: StrapReport) {
  const { straps, crossings, alternates, canAlternate, doubling, hangsTogether, layers, flaws } = report;
  return {
    straps: straps.map(({ closed, length, crossings: met, overs }) => ({
      closed,
      length: toMillionth(length),
      crossings: met,
      overs,
    })),
    crossings: crossings.map(({ at, over, under }) => ({ at: at.map(toMillionth), over, under })),
    alternates,
    canAlternate,
    doubling,
    hangsTogether,
    layers: layers.length,
    flaws: flaws.map(({ kind, at }) => ({ kind, at: [toMillionth(at.x), toMillionth(at.y)] })),
  };
}
