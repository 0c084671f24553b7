import { CoreError } from '../error.ts';
import type { StartPoint } from './construction.ts';
import { type ByKind, KINDS } from './constructions.ts';
import type { DesignOf } from './design-schema.ts';

/** What a construction may be begun from, the plainest first. */
export function startsOf<K extends keyof ByKind>(kind: K): readonly StartPoint<DesignOf<ByKind[K]>>[] {
  return KINDS[kind].starts();
}

/**
 * The design of a start point.
 * @param seed  whole; tells irregular ones apart
 * @throws CoreError "start/unknown" {key, known}
 */
export function designFromStart<K extends keyof ByKind>(kind: K, key: string, seed = 0): DesignOf<ByKind[K]> {
  const starts = startsOf(kind);
  const start = starts.find((each) => each.key === key);
  if (start === undefined)
    throw new CoreError('start/unknown', { key, known: starts.map((each) => each.key) });
  return start.design(seed);
}
