import { useEffect, useState } from 'react';

/** Milliseconds that a search waits for the next letter. */
const TYPED = 120;

/** A text that is typed, some moments after its last letter. */
export function useLate(text: string): string {
  const [late, setLate] = useState(text);
  useEffect(() => {
    const timer = setTimeout(() => setLate(text), TYPED);
    return () => clearTimeout(timer);
  }, [text]);
  return late;
}
