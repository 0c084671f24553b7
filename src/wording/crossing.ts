import type { Plaid } from '../core/design/plaid/plaid-schema.ts';
import { weaveName } from '../core/thread/weaves/weave-text.ts';

/** How two sequences are crossed, in a few words: "2/2 twill Z", "plain", "multiply, weft on top". */
export function crossingName({
  crossing,
  weave,
  print,
}: Pick<Plaid, 'crossing' | 'weave' | 'print'>): string {
  if (crossing === 'woven') return weaveName(weave).replace('Plain', 'plain');
  const how = print.blend === 'normal' ? `at ${print.strength}` : print.blend;
  return `${how}, ${print.top} on top`;
}
