import { keepPreviousData, useInfiniteQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { type Shelf, shelfSchema } from '../contracts/shelf.ts';
import { type ShelfView, shelfQuery, WHOLE_SHELF } from '../contracts/shelf-wish.ts';
import { request } from '../kit/request.ts';
import { useLate } from '../kit/use-late.ts';
import { SHELF } from './shelf-actions.ts';
import { joined } from './shelf-state.ts';

/** Milliseconds after which a verdict that is still out is asked for again. */
const CHECKING_AGAIN = 2000;

interface HungShelf {
  /** What is fetched of it so far. */
  readonly shelf: Shelf;
  /** Fetches the next page; undefined where there is none, or while it is on its way. */
  readonly more: (() => void) | undefined;
}

/** The shelf under a view, a page at a time. @param initial  its first page, as the page brought it */
export function useShelf(initial: Shelf, view: ShelfView): HungShelf {
  const search = useLate(view.search);
  const asked = useMemo(() => ({ ...view, search }), [view, search]);
  const isWhole = shelfQuery(asked) === shelfQuery(WHOLE_SHELF);
  const { data, fetchNextPage, isFetchingNextPage, isPlaceholderData } = useInfiniteQuery({
    queryKey: [...SHELF, asked],
    queryFn: async ({ pageParam }) =>
      shelfSchema.parse(await request('GET', `/api/shelf?${shelfQuery({ ...asked, from: pageParam })}`)),
    initialPageParam: 0,
    getNextPageParam: (last) => last.next,
    ...(isWhole && { initialData: { pages: [initial], pageParams: [0] } }),
    placeholderData: keepPreviousData,
    // While a check goes on, its verdict is looked for.
    refetchInterval: ({ state }) => (state.data?.pages.some(isChecking) === true ? CHECKING_AGAIN : false),
  });
  const shelf = useMemo(() => joined(data?.pages ?? [initial]), [data, initial]);
  const hasMore = shelf.next !== null && !isFetchingNextPage && !isPlaceholderData;
  return { shelf, more: hasMore ? () => void fetchNextPage() : undefined };
}

function isChecking({ ranges }: Shelf): boolean {
  return ranges.some(({ designs }) => designs.some(({ verdict }) => verdict === 'Checking'));
}
