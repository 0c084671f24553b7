import { useEffect, useRef, useState } from 'react';
import { toNumber } from '../../core/exact/rational.ts';
import { readDegrees } from '../../core/exact/read-degrees.ts';

/** An angle that is typed, for which one that repeats is taken once these are known. */
export interface TypedAngle {
  /** As it was typed. */
  readonly asked: string;
  /** Degrees. */
  readonly wished: number;
  readonly type: (text: string) => void;
  /**
   * What is called when angles near `wished` are known: `take` runs once for what was typed, never for what is stored
   * already; it returns as what it stores the angle, undefined where it takes none.
   */
  readonly answer: (take: (asked: string) => string | undefined) => void;
}

/** @param stored  the angle as it is stored */
export function useTypedAngle(stored: string): TypedAngle {
  const [asked, setAsked] = useState(stored);
  const isTyped = useRef(false);
  // What was chosen for a typed angle; more may have been typed before that is stored.
  const handedOn = useRef<string>(undefined);
  useEffect(() => {
    const isOwn = handedOn.current === stored;
    handedOn.current = undefined;
    // Undone or chosen elsewhere, it is another angle.
    if (!isOwn) setAsked(stored);
  }, [stored]);
  return {
    asked,
    wished: toNumber(readDegrees(asked)),
    type: (text) => {
      isTyped.current = true;
      setAsked(text.trim());
    },
    answer: (take) => {
      if (!isTyped.current) return;
      isTyped.current = false;
      handedOn.current = take(asked);
    },
  };
}
