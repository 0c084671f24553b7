import type { Edges } from '../partition-edges.ts';

/** Whether products of an edge's ways are exact in doubles, and all places in subpixels are machine words. */
export function isSmall({ count, dx, dy, width, height }: Edges): boolean {
  let most = 0;
  for (let edge = 0; edge < count; edge += 1) most = Math.max(most, Math.abs(dx[edge]!), dy[edge]!);
  return most ** 2 < 2 ** 53 && width < 2 ** 28 && height < 2 ** 28;
}
