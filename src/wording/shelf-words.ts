import type { OpenedShelf, Standing, Taken, Taking } from '../contracts/backups.ts';
import type { TakingRule } from '../contracts/taking-rule.ts';
import { plural } from './measures.ts';

/** How a design stands to this shelf. */
export const STANDING_WORDS: Readonly<Record<OpenedShelf['kind'], Readonly<Record<Standing, string>>>> = {
  backup: {
    new: 'missing now',
    binned: 'in the bin now',
    same: 'the same',
    here: 'changed since',
    there: 'older now',
    both: 'different now',
  },
  archive: {
    new: 'not here yet',
    binned: 'in the bin here',
    same: 'the same',
    here: 'changed here since',
    there: 'changed there since',
    both: 'changed on both sides',
  },
};

export const TAKING_WORDS: Readonly<Record<Taking, string>> = {
  replace: 'In its place',
  beside: 'Beside it',
  skip: 'Leave',
};

export const RULE_WORDS: Readonly<Record<TakingRule, string>> = {
  skip: 'Leave what is here',
  newer: 'Take the newer one',
  both: 'Keep both',
};

/** What was taken, in a sentence. */
export function takenWords({
  added,
  replaced,
  binned,
}: Pick<Taken, 'added' | 'replaced' | 'binned'>): string {
  const parts = [
    ...(added > 0 ? [`${plural(added, 'design')} added`] : []),
    ...(replaced > 0 ? [`${replaced} replaced`] : []),
    ...(binned > 0 ? [`${binned} put in the bin`] : []),
  ];
  return parts.length === 0 ? 'Nothing was changed.' : `${parts.join(', ')}.`;
}
