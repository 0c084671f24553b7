import { useEffect } from 'react';

/** Opens the search by Ctrl K, or Cmd K, wherever the focus is. */
export function useCommandKey(open: () => void): void {
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.key.toLowerCase() !== 'k' || !(event.ctrlKey || event.metaKey)) return;
      event.preventDefault();
      open();
    };
    document.addEventListener('keydown', press);
    return () => document.removeEventListener('keydown', press);
  }, [open]);
}
