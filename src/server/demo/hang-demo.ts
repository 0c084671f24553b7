import { randomUUID } from 'node:crypto';
import type { Kysely } from 'kysely';
import type { Shade } from '../../core/colour/shade.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { parsePrint } from '../../core/design/exchange/counts-text.ts';
import { parseBandWidths, parseDirection } from '../../core/design/exchange/stripe-text.ts';
import { parseDensityPair } from '../../core/design/exchange/text-parts.ts';
import { newPlaid, newStripe, newTiling } from '../../core/design/new-design.ts';
import { readDesign } from '../../core/design/read-design.ts';
import { shadesUsed } from '../../core/design/shades-used.ts';
import { parseThreadCount } from '../../core/formats/thread-count.ts';
import { parseWeave } from '../../core/thread/weaves/weave-text.ts';
import { insertDesign } from '../db/design-table.ts';
import { ensureRange, placeInRange } from '../db/range-table.ts';
import type { Database } from '../db/schema.ts';
import { readSetting, writeSetting } from '../db/setting-table.ts';
import { provenOf } from '../proving/proven.ts';
import {
  type DemoDesign,
  type DemoStripe,
  type DemoTiling,
  LARKMERE,
  LARKMERE_STRIPES,
  LARKMERE_TILINGS,
  LINE_SHADES,
} from './larkmere.ts';

/**
 * Hangs the demo designs once. A shelf that had them keeps what its owner made of them, deletions too.
 * @returns how many were hung now
 */
export async function hangDemo(db: Kysely<Database>, now: string): Promise<number> {
  if ((await readSetting(db, 'demo-hung')) !== undefined) return 0;
  await writeSetting(db, 'shelf-title', 'Larkmere Light Railway');
  await writeSetting(db, 'number-prefix', 'LLR');
  const start = Date.parse(now);
  const demos = [
    ...LARKMERE.map((demo) => ({ range: demo.range, design: designOf(demo) })),
    ...LARKMERE_STRIPES.map((demo) => ({ range: demo.range, design: stripeOf(demo) })),
    ...LARKMERE_TILINGS.map((demo) => ({ range: demo.range, design: tilingOf(demo) })),
  ];
  for (const [index, { range, design }] of demos.entries()) {
    const at = new Date(start + index).toISOString();
    const proven = provenOf(design);
    await db.transaction().execute(async (within) => {
      const { id } = await insertDesign(within, { id: randomUUID(), design, proven, now: at });
      await placeInRange(within, id, await ensureRange(within, range, randomUUID()));
    });
  }
  await writeSetting(db, 'demo-hung', now);
  return demos.length;
}

/** The document of one demo design; it lists the shades that it uses, in order of appearance. */
export function designOf({ name, number, warp, weft, weave, print, pivots, density }: DemoDesign): Design {
  const read = (text: string) => parseThreadCount(text, { keys: undefined, pivots: pivots ?? 'shared' });
  const sequences = [read(warp), ...(weft === undefined ? [] : [read(weft)])] as const;
  const shades = lineShades(sequences.flatMap(({ bands }) => bands));
  return readDesign(
    newPlaid({
      name,
      number,
      shades,
      warp: sequences[0],
      weft: sequences[1],
      weave: parseWeave(weave),
      print: print === undefined ? undefined : parsePrint(print),
      lay: parseDensityPair(density),
    }),
  );
}

/** The document of one demo stripe. */
export function stripeOf({ name, number, bands, slope, asked, measured }: DemoStripe): Design {
  const read = parseBandWidths(bands, { keys: undefined, pivots: 'shared' });
  return readDesign(
    newStripe({
      name,
      number,
      shades: lineShades(read.bands),
      ...read,
      slope: parseDirection(slope),
      asked: asked ?? null,
      measured,
    }),
  );
}

/** The document of one demo tiling. */
export function tilingOf({ faces, range: _, ...order }: DemoTiling): Design {
  const keys = faces.split(' ');
  const design = newTiling({ ...order, shades: [], faces: keys });
  const shades = lineShades(shadesUsed(design.construction).map(({ key }) => ({ shade: key })));
  return readDesign({ ...design, shades });
}

/** The line's shades that some bands use, in order of appearance. */
function lineShades(bands: readonly { readonly shade: string }[]): readonly Shade[] {
  return [...new Set(bands.map(({ shade }) => shade))].map((key) => {
    const [name, hex] = LINE_SHADES[key as keyof typeof LINE_SHADES];
    return { key, name, hex };
  });
}
