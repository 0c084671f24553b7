import type { Range, Shelf } from '../contracts/shelf.ts';

/** The pages of the shelf that were fetched, as one; a range that goes over two pages is one again. */
export function joined(pages: readonly Shelf[]): Shelf {
  const ranges = new Map<string, Range>();
  for (const range of pages.flatMap((page) => page.ranges)) {
    const before = ranges.get(range.id)?.designs ?? [];
    // A design that was hung meanwhile may move one to the next page, where it comes again.
    const known = new Set(before.map(({ id }) => id));
    ranges.set(range.id, {
      ...range,
      designs: [...before, ...range.designs.filter(({ id }) => !known.has(id))],
    });
  }
  return { ...pages.at(-1)!, ranges: [...ranges.values()] };
}
