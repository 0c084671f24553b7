import { useEffect, useRef } from 'react';
import type { Shelf } from '../contracts/shelf.ts';

/** How far below the window the next page is fetched, so that nobody meets the end of one. */
const AHEAD = '900px';

interface MoreProps {
  readonly shown: Shelf;
  readonly onMore: () => void;
}

/** The end of what is fetched: more is when it comes near the window, or when it is asked for. */
export function More({ shown: { ranges, found }, onMore }: MoreProps) {
  const end = useRef<HTMLDivElement>(null);
  const hung = ranges.reduce((sum, { designs }) => sum + designs.length, 0);
  useEffect(() => {
    const seen = new IntersectionObserver(
      (entries) => entries.some((each) => each.isIntersecting) && onMore(),
      {
        rootMargin: AHEAD,
      },
    );
    seen.observe(end.current!);
    return () => seen.disconnect();
  }, [onMore]);
  return (
    <div ref={end} className="px-[26px] py-6 text-center text-ash">
      {hung} of {found} designs.{' '}
      <button type="button" className="text-woad underline" onClick={onMore}>
        Hang more
      </button>
    </div>
  );
}
