import { z } from 'zod';
import { type Kind, summarySchema } from './shelf.ts';

export const SHELF_ORDERS = ['range', 'name', 'newest', 'repeat'] as const;
export type ShelfOrder = (typeof SHELF_ORDERS)[number];

/** What of the shelf is looked at. */
export interface ShelfView {
  readonly search: string;
  readonly kind: Kind | 'all';
  readonly order: ShelfOrder;
  /** Whether only favourites are shown. */
  readonly favourites: boolean;
}

export const WHOLE_SHELF: ShelfView = { search: '', kind: 'all', order: 'range', favourites: false };

/** Designs that are hung at a time; more follow when they are looked for. */
export const SHELF_PAGE = 240;

/** Most that are asked for at a time. */
const MOST_AT_ONCE = 500;

/** Longest text that is searched for. */
export const MOST_LETTERS = 200;

/** Which designs of a view are asked for, as a query says it. */
export const shelfWishSchema = z.object({
  search: z.string().max(MOST_LETTERS).default(WHOLE_SHELF.search),
  kind: summarySchema.shape.kind.or(z.literal('all')).default(WHOLE_SHELF.kind),
  order: z.enum(SHELF_ORDERS).default(WHOLE_SHELF.order),
  favourites: z
    .literal('')
    .optional()
    .transform((text) => text !== undefined),
  from: z.coerce.number().int().min(0).default(0),
  count: z.coerce.number().int().min(1).max(MOST_AT_ONCE).default(SHELF_PAGE),
});
export type ShelfWish = z.infer<typeof shelfWishSchema>;

export const FIRST_PAGE: ShelfWish = { ...WHOLE_SHELF, from: 0, count: SHELF_PAGE };

/** A wish as a query; what is usual is left out. */
export function shelfQuery(wish: Partial<ShelfWish>): string {
  const query = new URLSearchParams();
  const { search = '', kind = 'all', order = 'range', favourites = false, from = 0, count } = wish;
  if (search !== '') query.set('search', search);
  if (kind !== 'all') query.set('kind', kind);
  if (order !== 'range') query.set('order', order);
  if (favourites) query.set('favourites', '');
  if (from > 0) query.set('from', String(from));
  if (count !== undefined) query.set('count', String(count));
  return String(query);
}
