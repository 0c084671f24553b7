/** Wrong tries that one address, and all together, have in a minute. */
const MOST_EACH = 5;
const MOST_ALL = 30;
const MINUTE = 60_000;

/** Counts wrong passphrases, so that few can be tried. */
export interface Tries {
  /** Whether somebody at that address may try now; a try under way counts. */
  readonly begin: (address: string, now: number) => boolean;
  /** The try was right: it does not count. */
  readonly forgive: (address: string) => void;
}

export function makeTries(): Tries {
  let tries: readonly { readonly address: string; readonly at: number }[] = [];
  return {
    begin: (address, now) => {
      tries = tries.filter(({ at }) => at > now - MINUTE);
      const own = tries.filter((each) => each.address === address).length;
      if (own >= MOST_EACH || tries.length >= MOST_ALL) return false;
      tries = [...tries, { address, at: now }];
      return true;
    },
    forgive: (address) => {
      tries = tries.filter((each) => each.address !== address);
    },
  };
}
