/** Wrong tries that one who tries, and all strangers together, have in a minute. */
const MOST_EACH = 5;
const MOST_STRANGERS = 30;
const MINUTE = 60_000;

/** Somebody who tries a passphrase. */
export interface Trier {
  /** An address, or a browser that was let in before. */
  readonly name: string;
  /** Was let in before: what strangers try is not counted against it. */
  readonly known: boolean;
}

/** Counts wrong passphrases, so that few can be tried. */
export interface Tries {
  /** Whether somebody may try now; a try under way counts. */
  readonly begin: (trier: Trier, now: number) => boolean;
  /** The try was right: it does not count. */
  readonly forgive: (trier: Trier) => void;
}

export function makeTries(): Tries {
  let tries: readonly (Trier & { readonly at: number })[] = [];
  const isSame = (one: Trier, other: Trier) => one.name === other.name && one.known === other.known;
  return {
    begin: (trier, now) => {
      tries = tries.filter(({ at }) => at > now - MINUTE);
      if (tries.filter((each) => isSame(each, trier)).length >= MOST_EACH) return false;
      if (!trier.known && tries.filter(({ known }) => !known).length >= MOST_STRANGERS) return false;
      tries = [...tries, { ...trier, at: now }];
      return true;
    },
    forgive: (trier) => {
      tries = tries.filter((each) => !isSame(each, trier));
    },
  };
}
