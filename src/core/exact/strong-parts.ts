/** A graph of which arrows can be asked for one after another, so that none has to be stored. */
export interface Arrows {
  readonly count: number;
  /** How many arrows may go from a node. */
  readonly width: (from: number) => number;
  /** Where one goes; −1 where there is none. */
  readonly target: (from: number, at: number) => number;
}

/**
 * The strongly connected parts of a graph, in an order in which arrows go from earlier ones to later ones: R. Tarjan,
 * Depth-first search and linear graph algorithms, SIAM J. Comput. 1 (1972) 146–160.
 */
export function strongParts({ count, width, target }: Arrows): readonly (readonly number[])[] {
  const order = new Int32Array(count).fill(-1);
  const low = new Int32Array(count);
  const next = new Int32Array(count);
  const open = new Uint8Array(count);
  const waiting: number[] = [];
  const path: number[] = [];
  const parts: number[][] = [];
  let visited = 0;
  for (let root = 0; root < count; root += 1) {
    if (order[root] !== -1) continue;
    path.push(root);
    while (path.length > 0) {
      const node = path.at(-1)!;
      if (order[node] === -1) {
        order[node] = visited;
        low[node] = visited;
        visited += 1;
        open[node] = 1;
        waiting.push(node);
      }
      let deeper = -1;
      for (let at = next[node]!; at < width(node); at += 1) {
        const to = target(node, at);
        if (to === -1) continue;
        if (order[to] === -1) {
          // Looked at again afterwards, so that what it reached is known here.
          next[node] = at;
          deeper = to;
          break;
        }
        if (open[to] === 1) low[node] = Math.min(low[node]!, low[to]!);
        next[node] = at + 1;
      }
      if (deeper !== -1) {
        path.push(deeper);
        continue;
      }
      path.pop();
      if (low[node] !== order[node]) continue;
      const part: number[] = [];
      for (let member = -1; member !== node; ) {
        member = waiting.pop()!;
        open[member] = 0;
        part.push(member);
      }
      parts.push(part);
    }
  }
  // Parts are closed from below: the last one found has nothing above it.
  return parts.reverse();
}
