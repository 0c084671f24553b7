import { type RefObject, useEffect, useState } from 'react';

/** Width and height in CSS pixels. */
export interface Size {
  readonly width: number;
  readonly height: number;
}

/** The size of an element's inside, as long as it is shown; 0 before it is known. */
export function useSize(host: RefObject<HTMLElement | null>): Size {
  const [size, setSize] = useState<Size>({ width: 0, height: 0 });
  useEffect(() => watchSize(host.current!, setSize), [host]);
  return size;
}

/** Tells an element's size whenever it changes. @returns ends it */
export function watchSize(element: HTMLElement, tell: (size: Size) => void): () => void {
  const observer = new ResizeObserver(([entry]) => {
    const { width, height } = entry!.contentRect;
    tell({ width, height });
  });
  observer.observe(element);
  return () => observer.disconnect();
}
