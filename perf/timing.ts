/** Milliseconds that each of some pieces of work takes: the best of several rounds, taken in turn so that they share the machine's moods. */
export function race<Name extends string>(
  rounds: number,
  work: Readonly<Record<Name, () => void>>,
): Record<Name, number> {
  const names = Object.keys(work) as Name[];
  const best = Object.fromEntries(names.map((name) => [name, Number.POSITIVE_INFINITY])) as Record<
    Name,
    number
  >;
  for (let round = 0; round < rounds; round += 1) {
    for (const name of names) {
      const start = performance.now();
      work[name]();
      best[name] = Math.min(best[name], performance.now() - start);
    }
  }
  return best;
}

export function line(text: string, ratio: number, aim: string): void {
  console.log(`${text.padEnd(74)} ${ratio.toFixed(2).padStart(8)}   aim: ${aim}`);
}

export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)]!;
}
