/** The way that an arrow key points. */
export interface Way {
  readonly right: -1 | 0 | 1;
  readonly up: -1 | 0 | 1;
}

const WAYS: Readonly<Record<string, Way>> = {
  ArrowLeft: { right: -1, up: 0 },
  ArrowRight: { right: 1, up: 0 },
  ArrowUp: { right: 0, up: 1 },
  ArrowDown: { right: 0, up: -1 },
};

/** The way of an arrow key; undefined for any other key. */
export function wayOf(key: string): Way | undefined {
  return Object.hasOwn(WAYS, key) ? WAYS[key] : undefined;
}
