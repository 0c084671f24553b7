import type { Ply } from '../repeat-unit.ts';

/** Whether anything is seen of a ply: itself, or another within its painted parts. */
export function isSeen(plies: readonly Ply[], at: number): boolean {
  return plies[at]!.shown || plies.some(({ shown, clip }) => shown && clip === at);
}
