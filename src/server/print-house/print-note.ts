import type { PrintOrder } from '../../contracts/print-house.ts';
import { substrateOf } from '../../core/print/substrate.ts';

/** What comes back of a run: a note of what was printed. @param at  ISO 8601 */
export function printNote(order: PrintOrder, at: string): string {
  const { name, substrate, length, dpi, width, height } = order;
  return [
    `Printed: ${name}`,
    `Cloth: ${substrateOf(substrate).name}, ${length} mm`,
    `File: ${width} × ${height} px at ${dpi} dpi, ${order.repeats ? 'which repeats' : 'which does not repeat'}`,
    `Done: ${at}`,
    '',
  ].join('\n');
}
