import { useEffect, useState } from 'react';
import { RequestError } from '../request.ts';
import { type OpenedFromShelf, openDesign } from './open-design.ts';

/** A design as the shelf has it; "gone" where it has it no longer, undefined until that is known. */
export type OnShelf = OpenedFromShelf | 'gone' | undefined;

/** A design as the shelf has it; "gone" where it has it no longer, undefined until that is known. */
export function useOnShelf(id: string | undefined): OnShelf {
  const [found, setFound] = useState<OpenedFromShelf | 'gone'>();
  useEffect(() => {
    setFound(undefined);
    if (id === undefined) return;
    let isOver = false;
    const look = () =>
      openDesign(id).then(
        (opened) => !isOver && setFound(opened),
        (error: unknown) => {
          if (!isOver && error instanceof RequestError && error.status === 404) setFound('gone');
        },
      );
    void look();
    // It may have been changed on another bench.
    window.addEventListener('focus', look);
    return () => {
      isOver = true;
      window.removeEventListener('focus', look);
    };
  }, [id]);
  return found;
}
