import { useEffect, useRef } from 'react';

/** Takes files that are dropped anywhere on the page. */
export function useDroppedFiles(take: (files: readonly File[]) => void): void {
  const newest = useRef(take);
  newest.current = take;
  useEffect(() => {
    const over = (event: DragEvent) => event.preventDefault();
    const drop = (event: DragEvent) => {
      event.preventDefault();
      const files = [...(event.dataTransfer?.files ?? [])];
      if (files.length > 0) newest.current(files);
    };
    document.addEventListener('dragover', over);
    document.addEventListener('drop', drop);
    return () => {
      document.removeEventListener('dragover', over);
      document.removeEventListener('drop', drop);
    };
  }, []);
}
