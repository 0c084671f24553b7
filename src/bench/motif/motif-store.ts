import { create } from 'zustand';

/** What is chosen of the motif on the bench; it is no part of the design. */
interface MotifChoice {
  /** The id of the chosen piece. */
  readonly piece: number | undefined;
}

export const useMotif = create<MotifChoice>(() => ({ piece: undefined }));

export function choosePiece(piece: number | undefined): void {
  useMotif.setState({ piece });
}
