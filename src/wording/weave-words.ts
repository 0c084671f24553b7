import type { WeaveFacts } from '../core/design/weave-facts.ts';
import { toNumber } from '../core/exact/rational.ts';
import { MAX_SHAFTS, MAX_TREADLES } from '../core/thread/weaves/weave-spec.ts';
import { plural } from './measures.ts';

/** Whether a structure is one piece, and if not, what comes away. */
export function loosenessText({ layers }: Pick<WeaveFacts, 'layers'>): string {
  if (layers.length === 1) return 'No loose threads.';
  const [upper] = layers;
  const count = upper!.ends.length + upper!.picks.length;
  const threads = [
    ...(upper!.ends.length > 0 ? [plural(upper!.ends.length, 'end')] : []),
    ...(upper!.picks.length > 0 ? [plural(upper!.picks.length, 'pick')] : []),
  ].join(' and ');
  return `It falls into ${layers.length} pieces: of each repeat, ${threads} ${count === 1 ? 'comes' : 'come'} away on top.`;
}

/** "Floats: warp up to 2, weft up to 3. Warp is 50 % of the face. 4 shafts and 4 treadles." */
export function floatsText({ floats, warpShare, shafts, treadles }: WeaveFacts): string {
  const share = Number((toNumber(warpShare) * 100).toFixed(1));
  return `Floats: warp up to ${floats.warp.longest}, weft up to ${floats.weft.longest}. Warp is ${share} % of the face. ${needsText({ shafts, treadles })}`;
}

/** "4 shafts and 4 treadles."; what a loom has no room for is told. */
export function needsText({ shafts, treadles }: Pick<WeaveFacts, 'shafts' | 'treadles'>): string {
  const needs = `${plural(shafts, 'shaft')} and ${plural(treadles, 'treadle')}`;
  if (shafts > MAX_SHAFTS) return `${needs}: more shafts than the ${MAX_SHAFTS} of a draft.`;
  if (treadles > MAX_TREADLES) return `${needs}: more than ${MAX_TREADLES}, so it is woven by its lift plan.`;
  return `${needs}.`;
}
