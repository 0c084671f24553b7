import { create } from 'zustand';
import type { Design } from '../../core/design/design-schema.ts';
import {
  type BenchAction,
  type BenchState,
  type OpenedDesign,
  openBench,
  reduceBench,
} from './bench-state.ts';

/** The bench's one store a page; nothing but the reducer changes it. */
export const useBench = create<{ readonly bench: BenchState | undefined }>(() => ({ bench: undefined }));

export function openDesign(opened: OpenedDesign): void {
  useBench.setState({ bench: openBench(opened) });
}

export function dispatch(action: BenchAction): void {
  const { bench } = useBench.getState();
  if (bench !== undefined) useBench.setState({ bench: reduceBench(bench, action) });
}

/** The open bench's state; the bench is drawn only when one is open. */
export function useBenchState<T>(select: (state: BenchState) => T): T {
  return useBench(({ bench }) => select(bench!));
}

export function useDesign(): Design {
  return useBenchState((state) => state.history.present);
}

export function benchState(): BenchState {
  return useBench.getState().bench!;
}
