import { CoreError } from '../../error.ts';
import { MAX_SHAFTS } from './weave-spec.ts';

/** Ways of threading a number of shafts. */
export const THREADINGS = ['straight', 'pointed', 'broken', 'rosepath', 'blocks'] as const;
export type Threading = (typeof THREADINGS)[number];

/**
 * One repeat of a threading. Straight 1 2 3 4; pointed 1 2 3 4 3 2; broken, a straight half and the other half turned
 * back, 1 2 4 3; rosepath, up twice and down once, 1 2 3 4 1 4 3 2; blocks of two shafts in turn, each four times.
 * Common practice of the trade.
 *
 * @throws CoreError "weave/size" {text, least, most}
 */
export function threadingOf(kind: Threading, shafts: number): number[] {
  const least = kind === 'straight' ? 1 : kind === 'blocks' || kind === 'broken' ? 4 : 3;
  if (!(Number.isSafeInteger(shafts) && shafts >= least && shafts <= MAX_SHAFTS)) {
    throw new CoreError('weave/size', { text: String(shafts), least, most: MAX_SHAFTS });
  }
  const up = Array.from({ length: shafts }, (_, index) => index + 1);
  const back = up.slice(1, -1).reverse();
  switch (kind) {
    case 'straight':
      return up;
    case 'pointed':
      return [...up, ...back];
    case 'broken': {
      const half = Math.floor(shafts / 2);
      return [...up.slice(0, half), ...up.slice(half).reverse()];
    }
    case 'rosepath':
      return [...up, 1, ...up.slice(1).reverse()];
    case 'blocks': {
      const pairs = Array.from({ length: Math.floor(shafts / 2) }, (_, pair) => [2 * pair + 1, 2 * pair + 2]);
      return pairs.flatMap((pair) => Array.from({ length: 4 }, () => pair).flat());
    }
    default:
      return kind satisfies never;
  }
}
