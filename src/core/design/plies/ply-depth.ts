import type { Construction } from '../constructions.ts';

/** Most plies within plies: a design of plies that holds none that do is 1 deep. */
export const MOST_PLY_DEPTH = 4;

/** How deep plies lie within plies; 0 for any other construction. */
export function plyDepth(construction: Construction): number {
  if (construction.kind !== 'plies') return 0;
  const within = construction.plies.map(({ content }) =>
    content.kind === 'design' ? plyDepth(content.design.construction) : 0,
  );
  return 1 + Math.max(0, ...within);
}
