import type { StrapNet } from './strap-net.ts';

/**
 * Straps in two families, so that those of one never cross each other: the first strap of all that hang together by
 * crossings is of family 0.
 * @returns undefined where there are none
 */
export function familiesOf({
  straps,
  crossings,
}: Pick<StrapNet, 'straps' | 'crossings'>): Uint8Array | undefined {
  const beside = straps.map((): number[] => []);
  for (const { passages } of crossings) {
    const [one, other] = passages;
    beside[one.strap]!.push(other.strap);
    beside[other.strap]!.push(one.strap);
  }
  const family = new Int8Array(straps.length).fill(-1);
  for (const start of straps.keys()) {
    if (family[start] !== -1) continue;
    family[start] = 0;
    const waiting = [start];
    for (let strap = waiting.pop(); strap !== undefined; strap = waiting.pop()) {
      for (const next of beside[strap]!) {
        if (family[next] === family[strap]) return undefined;
        if (family[next] !== -1) continue;
        family[next] = 1 - family[strap]!;
        waiting.push(next);
      }
    }
  }
  return Uint8Array.from(family);
}
