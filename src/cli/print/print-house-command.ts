import { resolve } from 'node:path';
import { CoreError } from '../../core/error.ts';
import { startPrintHouse } from '../../server/print-house/print-house.ts';
import { EXIT } from '../run.ts';
import { wholeNumber } from '../whole-number.ts';

/** `vetro print-house`: a stand-in for a print house, until it is stopped. */
export async function printHouseCommand(options: {
  port: string;
  folder: string;
  speed: string;
}): Promise<number> {
  const { port } = await startPrintHouse({
    port: wholeNumber(options.port, 0, 65_535),
    folder: resolve(options.folder),
    speed: wholeNumber(options.speed, 1, 100_000),
  }).catch((error: NodeJS.ErrnoException) => {
    if (error.code === 'EADDRINUSE') throw new CoreError('print/port', { port: options.port });
    throw error;
  });
  process.stdout.write(`A print house stands at http://127.0.0.1:${port}. Ctrl C stops it.\n`);
  await new Promise((stop) => process.once('SIGINT', stop));
  process.exit(EXIT.fine);
}
