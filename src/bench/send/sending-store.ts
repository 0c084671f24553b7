import { create } from 'zustand';
import type { Job } from '../../contracts/job.ts';
import type { RefusedDraft } from '../../kit/fields/refused-drafts.ts';

interface Sending {
  /** The file that is being made for this bench; undefined when none is, "asking" until its job is known. */
  readonly sending: Job | 'asking' | undefined;
  /** What was typed in other steps and cannot be read, where a file was asked for all the same. */
  readonly refused: readonly RefusedDraft[];
}

export const useSending = create<Sending>(() => ({ sending: undefined, refused: [] }));
