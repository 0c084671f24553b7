import { useSyncExternalStore } from 'react';

/** Device pixels of one CSS pixel; changes when the page is zoomed or moved to another monitor. */
export function usePixelRatio(): number {
  return useSyncExternalStore(listen, () => window.devicePixelRatio);
}

/** Browsers send `resize` when the ratio changes by page zoom, and a media query change when the monitor does. */
function listen(changed: () => void): () => void {
  const query = window.matchMedia(`(resolution: ${window.devicePixelRatio}dppx)`);
  query.addEventListener('change', changed);
  window.addEventListener('resize', changed);
  return () => {
    query.removeEventListener('change', changed);
    window.removeEventListener('resize', changed);
  };
}
