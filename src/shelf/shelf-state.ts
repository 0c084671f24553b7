import type { Range, Shelf, Summary } from '../contracts/shelf.ts';

export const ORDERS = ['range', 'name', 'newest', 'repeat'] as const;
export type Order = (typeof ORDERS)[number];

export interface ShelfView {
  readonly search: string;
  readonly kind: Summary['kind'] | 'all';
  readonly order: Order;
  /** Whether only favourites are shown. */
  readonly favourites: boolean;
}

/** What hangs on the shelf under a search: by range, or in one row when another order is wished. */
export function hang(shelf: Shelf, { search, kind, order, favourites }: ShelfView): readonly Range[] {
  const words = search.toLowerCase().split(/\s+/);
  const shown = (design: Summary) =>
    (kind === 'all' || design.kind === kind) &&
    (!favourites || design.favourite) &&
    words.every((word) => design.search.includes(word));
  const ranges = shelf.ranges.map((range) => ({ ...range, designs: range.designs.filter(shown) }));
  if (order === 'range') return ranges.filter((range) => range.designs.length > 0);
  const all = ranges.flatMap((range) => range.designs).sort(COMPARE[order]);
  return all.length === 0 ? [] : [{ id: '', name: '', designs: all }];
}

const COMPARE: Readonly<Record<Exclude<Order, 'range'>, (a: Summary, b: Summary) => number>> = {
  name: (a, b) => a.name.localeCompare(b.name, 'en', { numeric: true }),
  newest: (a, b) => b.updatedAt.localeCompare(a.updatedAt),
  repeat: (a, b) => a.area - b.area,
};

export function countDesigns(shelf: Shelf): number {
  return shelf.ranges.reduce((sum, range) => sum + range.designs.length, 0);
}
