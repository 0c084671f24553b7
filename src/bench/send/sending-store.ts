import { create } from 'zustand';
import type { Job } from '../../contracts/job.ts';
import type { RefusedDraft } from '../../kit/fields/refused-drafts.ts';

/** A question that is put before something is sent: what was typed in other steps could not be read. */
interface RefusedQuestion {
  readonly drafts: readonly RefusedDraft[];
  /** @param asItStands  whether it is sent without them */
  readonly answer: (asItStands: boolean) => void;
}

interface Sending {
  /** The file that is being made for this bench; undefined when none is, "asking" until its job is known. */
  readonly sending: Job | 'asking' | undefined;
  readonly question: RefusedQuestion | undefined;
}

export const useSending = create<Sending>(() => ({ sending: undefined, question: undefined }));

/** Puts the question; one that is still open is answered with no. @returns whether it is sent as it stands */
export function askAsItStands(drafts: readonly RefusedDraft[]): Promise<boolean> {
  useSending.getState().question?.answer(false);
  return new Promise((resolve) => {
    const answer = (asItStands: boolean) => {
      useSending.setState({ question: undefined });
      resolve(asItStands);
    };
    useSending.setState({ question: { drafts, answer } });
  });
}
