import type { OpenedShelf, OtherDesign, TakeRequest, Taking } from './backups.ts';

/** One rule for all designs that are not the same. */
export const TAKING_RULES = ['skip', 'newer', 'both'] as const;
export type TakingRule = (typeof TAKING_RULES)[number];

/** What a rule says of a design of another shelf; what is not here, and hangs there, is taken by every rule. */
export function takingBy(rule: TakingRule, { standing, binnedThere, at, hereAt }: OtherDesign): Taking {
  if (standing === 'same') return 'skip';
  if (standing === 'new') return binnedThere ? 'skip' : 'replace';
  if (rule === 'skip' || binnedThere) return 'skip';
  if (rule === 'both') return standing === 'binned' ? 'replace' : 'beside';
  return at > hereAt || standing === 'binned' ? 'replace' : 'skip';
}

/**
 * What is asked for of another shelf. All of it on a shelf without designs is that shelf, with the order of its ranges, its
 * title and its settings.
 */
export function wishOf(
  { designs, onlyHere }: Pick<OpenedShelf, 'designs' | 'onlyHere'>,
  takingOf: (design: OtherDesign) => Taking,
): TakeRequest {
  const isEmpty = onlyHere.length === 0 && designs.every(({ standing }) => standing === 'new');
  const whole = isEmpty && designs.every((each) => each.binnedThere || takingOf(each) === 'replace');
  if (whole) return { whole, choices: {} };
  const chosen = designs.filter((each) => takingOf(each) !== 'skip');
  return { whole, choices: Object.fromEntries(chosen.map((each) => [each.id, takingOf(each)])) };
}
