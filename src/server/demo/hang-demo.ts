import { randomUUID } from 'node:crypto';
import type { Kysely } from 'kysely';
import type { Design } from '../../core/design/design-schema.ts';
import { parseDensityPair, parsePrint } from '../../core/design/exchange/counts-text.ts';
import { newPlaid } from '../../core/design/new-design.ts';
import { readDesign } from '../../core/design/read-design.ts';
import { parseThreadCount } from '../../core/formats/thread-count.ts';
import { parseTwill } from '../../core/thread/weave.ts';
import { insertDesign } from '../db/design-table.ts';
import { ensureRange, placeInRange } from '../db/range-table.ts';
import type { Database } from '../db/schema.ts';
import { readSetting, writeSetting } from '../db/setting-table.ts';
import { type DemoDesign, LARKMERE, LINE_SHADES } from './larkmere.ts';

/**
 * Hangs the demo designs once. A shelf that had them keeps what its owner made of them, deletions too.
 * @returns how many were hung now
 */
export async function hangDemo(db: Kysely<Database>, now: string): Promise<number> {
  if ((await readSetting(db, 'demo-hung')) !== undefined) return 0;
  await writeSetting(db, 'shelf-title', 'Larkmere Light Railway');
  await writeSetting(db, 'number-prefix', 'LLR');
  const start = Date.parse(now);
  for (const [index, demo] of LARKMERE.entries()) {
    const at = new Date(start + index).toISOString();
    const { id } = await insertDesign(db, { id: randomUUID(), design: designOf(demo), now: at });
    await placeInRange(db, id, await ensureRange(db, demo.range, randomUUID()));
  }
  await writeSetting(db, 'demo-hung', now);
  return LARKMERE.length;
}

/** The document of one demo design; it lists the shades that it uses, in order of appearance. */
export function designOf({ name, number, warp, weft, weave, print, pivots, density }: DemoDesign): Design {
  const read = (text: string) => parseThreadCount(text, { keys: undefined, pivots: pivots ?? 'shared' });
  const sequences = [read(warp), ...(weft === undefined ? [] : [read(weft)])] as const;
  const keys = new Set(sequences.flatMap(({ bands }) => bands.map(({ shade }) => shade)));
  const shades = [...keys].map((key) => {
    const [shadeName, hex] = LINE_SHADES[key as keyof typeof LINE_SHADES];
    return { key, name: shadeName, hex };
  });
  return readDesign(
    newPlaid({
      name,
      number,
      shades,
      warp: sequences[0],
      weft: sequences[1],
      weave: parseTwill(weave),
      print: print === undefined ? undefined : parsePrint(print),
      lay: parseDensityPair(density),
    }),
  );
}
