import { CoreError } from '../core/error.ts';
import { MAX_SHAFTS } from '../core/thread/weaves/weave-spec.ts';
import { startStandIn } from '../server/loom/stand-in.ts';
import { EXIT } from './run.ts';
import { wholeNumber } from './whole-number.ts';

/** `vetro loom`: a stand-in for a dobby loom, until it is stopped. */
export async function loomCommand(options: { port: string; shafts: string; delay: string }): Promise<number> {
  const { port } = await startStandIn({
    port: wholeNumber(options.port, 0, 65_535),
    shafts: wholeNumber(options.shafts, 1, MAX_SHAFTS),
    delay: wholeNumber(options.delay, 0, 60_000),
  }).catch((error: NodeJS.ErrnoException) => {
    if (error.code === 'EADDRINUSE') throw new CoreError('loom/port', { port: options.port });
    throw error;
  });
  process.stdout.write(`A loom of ${options.shafts} shafts stands at port ${port}. Ctrl C stops it.\n`);
  await new Promise((resolve) => process.once('SIGINT', resolve));
  return EXIT.fine;
}
