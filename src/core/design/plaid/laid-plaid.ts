import { CoreError } from '../../error.ts';
import type { Cells } from '../../thread/cells.ts';
import type { Sequence } from '../../thread/sequence.ts';
import type { Interlacing } from '../../thread/weave.ts';
import { buildWeave } from '../../thread/weaves/build-weave.ts';
import { leastRepeat } from '../../thread/weaves/least-repeat.ts';
import { drawnWeave } from '../../thread/weaves/weave-draft.ts';
import { compile } from '../compile-design.ts';
import type { PlaidDesign } from '../design-schema.ts';
import { structuredWeave } from '../new-design.ts';

/** Most crossings of a laid cloth whose structure is looked at: a sett of 500 threads, mirrored both ways. */
const MOST_CROSSINGS = 1_000_000;

/**
 * How the threads of a woven design interlace as it is laid.
 * @throws CoreError as `compile`, or "lay/crossings" {ends, picks, most} where another lay than straight has too many
 */
export function laidStructure(design: PlaidDesign): Interlacing {
  const cells = laidCells(design);
  if (cells === undefined) return buildWeave(design.construction.weave);
  const { width: ends, height: picks } = cells;
  if (ends * picks > MOST_CROSSINGS)
    throw new CoreError('lay/crossings', { ends, picks, most: MOST_CROSSINGS });
  return structureOf(cells);
}

/** Whether a woven design is laid as it was built. */
export function isLaidStraight({ lay }: PlaidDesign): boolean {
  return lay.arrangement.kind === 'straight';
}

/** The cells of a woven design that is laid another way than straight. */
function laidCells(design: PlaidDesign): (Cells & Required<Pick<Cells, 'over'>>) | undefined {
  if (isLaidStraight(design)) return undefined;
  const { content } = compile({ ...design, lay: { ...design.lay, slope: null, scale: null } });
  if (content.kind !== 'cells' || content.over === undefined) return undefined;
  return { ...content, over: content.over };
}

function structureOf({ width, height, over, rowAt }: Cells & Required<Pick<Cells, 'over'>>): Interlacing {
  const up = new Uint8Array(width * height);
  for (let pick = 0; pick < height; pick += 1) up.set(over[rowAt[height - 1 - pick]!]!, pick * width);
  return leastRepeat({ ends: width, picks: height, up });
}

/**
 * The same cloth as a design that is laid straight: the one that there is, or its laid threads with a structure of their
 * own.
 * @throws CoreError "lay/unwoven" where a thread would change its shade inside the cloth; as `drawnWeave`
 */
export function laidPlaid(design: PlaidDesign): PlaidDesign {
  const cells = laidCells(design);
  if (cells === undefined) return design;
  const { warp, weft } = threadShades(cells);
  const keys = design.shades.map(({ key }) => key);
  return {
    ...design,
    lay: { ...design.lay, arrangement: { kind: 'straight' } },
    construction: {
      ...design.construction,
      warp: sequenceOf(warp, keys),
      weft: { follows: false, turn: 0, own: sequenceOf(weft, keys) },
      weave: structuredWeave(drawnWeave(structureOf(cells))),
    },
  };
}

/** The shade of each end and each pick, the first pick lowest. @throws CoreError "lay/unwoven" */
function threadShades({ width, height, rows, over, rowAt }: Cells & Required<Pick<Cells, 'over'>>) {
  const warp = new Int32Array(width).fill(-1);
  const weft = new Int32Array(height).fill(-1);
  const take = (threads: Int32Array, at: number, shade: number) => {
    if (threads[at] !== -1 && threads[at] !== shade) throw new CoreError('lay/unwoven', {});
    threads[at] = shade;
  };
  for (let y = 0; y < height; y += 1) {
    const row = rows[rowAt[y]!]!;
    const face = over[rowAt[y]!]!;
    for (let end = 0; end < width; end += 1) {
      if (face[end] === 1) take(warp, end, row[end]!);
      else take(weft, height - 1 - y, row[end]!);
    }
  }
  return { warp, weft };
}

/** Threads as bands; one that is never seen is like the one before it. */
function sequenceOf(
  threads: Int32Array,
  keys: readonly string[],
): Sequence & { bands: { shade: string; count: number }[] } {
  const bands: { shade: string; count: number }[] = [];
  for (const shade of threads) {
    const key = shade === -1 ? (bands.at(-1)?.shade ?? keys[0]!) : keys[shade]!;
    const last = bands.at(-1);
    if (last?.shade === key) last.count += 1;
    else bands.push({ shade: key, count: 1 });
  }
  return { bands, mirror: 'none' };
}
