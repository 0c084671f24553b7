import { create } from 'zustand';

/** What is chosen of the plies on the bench; it is no part of the design. */
interface PliesChoice {
  /** The ply whose numbers are shown, counted from the lowest; undefined: none. */
  readonly chosen: number | undefined;
  /** Whether it is asked what to lay over the design. */
  readonly layingOver: boolean;
}

export const usePlies = create<PliesChoice>(() => ({ chosen: undefined, layingOver: false }));

export function choosePly(chosen: number | undefined): void {
  usePlies.setState({ chosen });
}

export function showLayOver(layingOver: boolean): void {
  usePlies.setState({ layingOver });
}
