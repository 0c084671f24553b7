import { readFile, rm, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { PRINT_FILES } from '../../contracts/job.ts';
import { standingOf } from '../../contracts/print-house.ts';
import type { Make, Standing } from '../jobs/jobs.ts';
import { ownFolder } from '../own-folder.ts';
import type { Pools } from '../work/pools.ts';
import { houseAddress } from './house-address.ts';
import { orderPrint } from './order-print.ts';
import { printNote } from './print-note.ts';

/** Milliseconds after which a house that does not answer is given up: over a night. */
const PATIENCE = 12 * 60 * 60 * 1000;

/**
 * Has the print house print what a job asks for: its file is one repeat made in the pools, what comes back is kept. The job's
 * id is the order's mark, so a job that is taken up again is the same order, and one that is asked for again is another.
 */
export function printJob(pools: Pools): Make {
  return async ({ id, design, file, query, path }, { signal, told }) => {
    const kind = file === PRINT_FILES.run ? 'run' : 'strike-off';
    const folder = await ownFolder();
    const tile = join(folder, 'tile.png');
    try {
      // An order that is to be called off is worked out again, since its key is made of it.
      const making = signal.aborted ? new AbortController().signal : signal;
      const order = await pools.print({ design, kind, query, path: tile }, making);
      const bytes = new Uint8Array(await readFile(tile));
      let last: Standing = { made: 0, of: Math.round(order.length), stands: '' };
      const tell = (standing: Standing) => {
        last = signal.aborted ? { ...standing, stands: 'calling-off' } : standing;
        told(last);
      };
      const picture = await orderPrint(
        { order, file: bytes, mark: id },
        {
          address: houseAddress(),
          patience: PATIENCE,
          signal,
          lost: () => tell({ ...last, stands: 'lost' }),
        },
        (answer) =>
          tell({
            made: Math.floor(answer.printed),
            of: Math.round(answer.length),
            stands: standingOf(answer),
          }),
      );
      await writeFile(path, picture ?? printNote(order, new Date().toISOString()));
    } finally {
      await rm(folder, { recursive: true, force: true });
    }
  };
}
