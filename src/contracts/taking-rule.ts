import type { OtherDesign, Taking } from './backups.ts';

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
