import type { HouseFacts } from '../../contracts/print-house.ts';
import { PRINT_HOUSE_PORT } from '../../contracts/print-house-port.ts';

/** Milliseconds in which a house that is there has answered. */
const SOON = 1500;

/** Where orders of the bench go: VETRO_PRINT_HOUSE, or this machine. */
export function houseAddress(): string {
  return process.env['VETRO_PRINT_HOUSE'] ?? `http://127.0.0.1:${PRINT_HOUSE_PORT}`;
}

/** Whether a house is there. */
export async function findHouse(): Promise<HouseFacts> {
  const address = houseAddress();
  const answers = await fetch(`${address}/orders`, { signal: AbortSignal.timeout(SOON) }).then(
    () => true,
    () => false,
  );
  return { address, answers };
}
