import type { PRINT_REFUSALS, PrintOrder } from '../../contracts/print-house.ts';
import { SUBSTRATES } from '../../core/print/substrate.ts';

/** Coarsest file that is printed, in pixels an inch (common practice). */
const LEAST_DPI = 100;

/** Why an order is refused before its file is looked at; undefined where it is not. */
export function refusalOfOrder(order: PrintOrder): (typeof PRINT_REFUSALS)[number] | undefined {
  const substrate = SUBSTRATES.find(({ key }) => key === order.substrate);
  if (substrate === undefined) return 'substrate';
  if (order.dpi < LEAST_DPI) return 'resolution';
  const wide = (order.width / order.dpi) * 25.4;
  const long = (order.height / order.dpi) * 25.4;
  if (wide > substrate.width) return 'width';
  if (order.length > long + 0.5 && !order.repeats) return 'repeat';
  return undefined;
}
