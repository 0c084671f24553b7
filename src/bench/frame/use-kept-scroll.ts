import { type RefObject, type UIEvent, useLayoutEffect, useRef } from 'react';
import type { Step } from '../state/bench-state.ts';

interface KeptScroll {
  readonly ref: RefObject<HTMLDivElement | null>;
  readonly onScroll: (event: UIEvent<HTMLDivElement>) => void;
}

/** Keeps how far each step's panel was scrolled: another one begins at its top, and one that was left is met as it was. */
export function useKeptScroll(step: Step): KeptScroll {
  const ref = useRef<HTMLDivElement>(null);
  const kept = useRef(new Map<Step, number>());
  useLayoutEffect(() => {
    ref.current!.scrollTop = kept.current.get(step) ?? 0;
  }, [step]);
  return { ref, onScroll: ({ currentTarget }) => kept.current.set(step, currentTarget.scrollTop) };
}
