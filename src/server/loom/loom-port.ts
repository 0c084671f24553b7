import { LOOM_PORT } from '../../contracts/loom-port.ts';

/** The one port at which Vetro speaks to a loom; only whoever starts Vetro chooses it. */
export function loomPort(): number {
  const port = Number(process.env['VETRO_LOOM_PORT'] ?? LOOM_PORT);
  return Number.isInteger(port) && port >= 1 && port <= 65_535 ? port : LOOM_PORT;
}
