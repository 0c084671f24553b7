import { create } from 'zustand';
import type { Job } from '../../contracts/job.ts';

/** The file that is being made for this bench; undefined when none is, "asking" until its job is known. */
export const useSending = create<{ readonly sending: Job | 'asking' | undefined }>(() => ({
  sending: undefined,
}));
