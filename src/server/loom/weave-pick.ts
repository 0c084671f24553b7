import type { Kysely } from 'kysely';
import type { LoomAction, LoomView } from '../../contracts/loom.ts';
import { asWoven } from '../../core/design/design-facts.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { threadsOfPlaid } from '../../core/design/plaid/compile-plaid.ts';
import { CoreError } from '../../core/error.ts';
import { commonMultiple } from '../../core/exact/common-multiple.ts';
import { smallestPeriod } from '../../core/thread/smallest-period.ts';
import { draftSize } from '../../core/thread/weaves/draft.ts';
import { weaveDraft } from '../../core/thread/weaves/weave-draft.ts';
import { findDesign } from '../db/design-table.ts';
import type { Database } from '../db/schema.ts';
import { readSetting, writeSetting } from '../db/setting-table.ts';
import { liftPick } from './lift-pick.ts';

/** The last thing that was asked of each design's weaving, so that the next waits for it. */
const weaving = new Map<string, Promise<unknown>>();

/** Does one thing after the other for each design: what two windows ask at once is not thrown twice. */
export function weavePick(db: Kysely<Database>, wish: Wish): Promise<LoomView> {
  const before = weaving.get(wish.id) ?? Promise.resolve();
  const result = before.then(() => workPick(db, wish));
  const settled: Promise<void> = result.then(
    () => leave(),
    () => leave(),
  );
  const leave = () => void (weaving.get(wish.id) === settled && weaving.delete(wish.id));
  weaving.set(wish.id, settled);
  return result;
}

interface Wish {
  readonly id: string;
  readonly port: number;
  readonly action: LoomAction;
}

/**
 * Does what the weaver asks and tells where the weaving stands. The place moves on only when the loom has said that it
 * raised the shafts, so that after any interruption it is the pick that was not thrown.
 *
 * @throws CoreError of `findDesign`, `liftPick` and `weaveDraft`, "weave/none" for what is not woven, "loom/moved" {pick}
 *         where another window has thrown that pick
 */
async function workPick(db: Kysely<Database>, { id, port, action }: Wish): Promise<LoomView> {
  const { document } = await findDesign(db, id);
  const place = `loom:${id}` as const;
  const at = Number((await readSetting(db, place)) ?? 0);
  const plan = planOf(document, port);
  switch (action.kind) {
    case 'look':
      return plan.view(at, null);
    case 'go':
      await writeSetting(db, place, String(action.pick));
      return plan.view(action.pick, null);
    case 'throw': {
      if (action.pick !== at) throw new CoreError('loom/moved', { pick: at + 1 });
      const raised = await liftPick(port, at, plan.liftAt(at));
      await writeSetting(db, place, String(at + 1));
      return plan.view(at + 1, raised);
    }
    default:
      return action satisfies never;
  }
}

/** The lift plan of a design: what each pick lifts and its shade, round and round. */
function planOf(design: Design, port: number) {
  const { construction, shades } = asWoven(design);
  const draft = weaveDraft(construction.weave);
  const { weft } = threadsOfPlaid(construction, shades);
  const repeat = commonMultiple(smallestPeriod(weft), smallestPeriod(Uint16Array.from(draft.treadling)));
  const liftAt = (pick: number) => [...draft.tieup[draft.treadling[pick % draft.treadling.length]! - 1]!];
  const shadeAt = (pick: number) => {
    const { name, hex } = shades[weft[pick % weft.length]!]!;
    return { name, hex };
  };
  const view = (pick: number, raised: number[] | null): LoomView => ({
    pick,
    repeat,
    shafts: draftSize(draft).shafts,
    lift: liftAt(pick),
    shade: shadeAt(pick),
    after: shadeAt(pick + 1),
    raised,
    port,
  });
  return { liftAt, view };
}
