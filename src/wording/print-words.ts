import type { Job } from '../contracts/job.ts';
import type { PrintStanding } from '../contracts/print-house.ts';

/** What stands still where, in words. */
const WORDS: Readonly<Record<PrintStanding, (at: string) => string>> = {
  taken: () => 'The print house has it',
  checked: () => 'Checked; waits its turn at the table',
  'on-the-table': () => 'On the table',
  printing: (at) => `Printing, ${at}`,
  jam: (at) => `The cloth is jammed at ${at}; it goes on when that is mended`,
  ink: (at) => `Out of ink at ${at}; it goes on when there is more`,
  lost: () => 'The print house does not answer; it is asked again',
  'calling-off': (at) => `Being called off; the print house has not answered yet (${at} when it last did)`,
};

/** How an order stands at the print house; empty where it is not there. */
export function standsWords({ stands, made, of }: Pick<Job, 'stands' | 'made' | 'of'>): string {
  return stands === '' ? '' : WORDS[stands](`${Math.floor(made)} of ${Math.round(of)} mm`);
}
