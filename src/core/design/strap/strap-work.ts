import type { PlaneLattice } from '../../exact/lattice.ts';
import { type SolvedOrder, solveOrder } from '../../shape/straps/solve-order.ts';
import { courseOf, type StrapCourse } from '../../shape/straps/strap-course.ts';
import type { StrapLine } from '../../shape/straps/strap-line.ts';
import { type StrapNet, strapNet } from '../../shape/straps/strap-net.ts';
import { type OrderRule, orderRule } from '../../shape/straps/strap-order.ts';
import { torusOf } from '../../shape/straps/strap-torus.ts';
import type { Straps } from './strap-schema.ts';

/** All straps of a design: where they cross, and which goes over. */
export interface StrapWork {
  readonly net: StrapNet;
  readonly rule: OrderRule;
  readonly solved: SolvedOrder;
  readonly course: StrapCourse;
}

/** @param lattice  of one cell @throws CoreError as `strapNet`, `orderRule` */
export function strapWork(lines: readonly StrapLine[], lattice: PlaneLattice, straps: Straps): StrapWork {
  const net = strapNet(lines, torusOf(lattice));
  const rule = orderRule(net, straps.order);
  const solved = solveOrder(net.crossings.length, rule, straps.cells);
  return { net, rule, solved, course: courseOf(net, rule, solved, straps) };
}
