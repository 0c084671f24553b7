/** A key, or a way of the hand, and what it does. */
export interface KeyWords {
  readonly keys: string;
  readonly what: string;
}

/** The keys of one place, as they are listed. */
export interface KeyList {
  readonly where: string;
  readonly keys: readonly KeyWords[];
}
