import { randomUUID } from 'node:crypto';
import type { Kysely } from 'kysely';
import { insertDesign } from '../db/design-table.ts';
import { inTransaction } from '../db/in-transaction.ts';
import { ensureRange, placeInRange } from '../db/range-table.ts';
import type { Database } from '../db/schema.ts';
import { readSetting, writeSetting } from '../db/setting-table.ts';
import { decodedPictures } from '../pictures/decoded-pictures.ts';
import { keepCarried } from '../pictures/kept-pictures.ts';
import { provenOf } from '../proving/proven.ts';
import { LARKMERE } from './demo.ts';

/**
 * Hangs the demo designs once. A shelf that had them keeps what its owner made of them, deletions too.
 * @returns how many were hung now
 */
export async function hangDemo(db: Kysely<Database>, now: string): Promise<number> {
  if ((await readSetting(db, 'demo-hung')) !== undefined) return 0;
  await writeSetting(db, 'shelf-title', 'Larkmere Light Railway');
  const start = Date.parse(now);
  for (const [index, { range, design: make }] of LARKMERE.entries()) {
    const carrier = make();
    const at = new Date(start + index).toISOString();
    const proven = provenOf(carrier, await decodedPictures(carrier));
    const design = await keepCarried(db, carrier, now);
    await inTransaction(db, async (within) => {
      const { id } = await insertDesign(within, { id: randomUUID(), design, proven, now: at });
      await placeInRange(within, id, await ensureRange(within, range, randomUUID()));
    });
  }
  await writeSetting(db, 'demo-hung', now);
  return LARKMERE.length;
}
