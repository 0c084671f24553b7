import { create } from 'zustand';
import type { Piece } from '../../core/design/motif/motif-schema.ts';

/** What is chosen of the motif on the bench; it is no part of the design. */
interface MotifChoice {
  /** Ids of the chosen pieces; the last is the one whose numbers are shown. */
  readonly chosen: readonly number[];
  /** The piece that was just added: its first number is next. */
  readonly added: number | undefined;
}

export const useMotif = create<MotifChoice>(() => ({ chosen: [], added: undefined }));

/** Chooses a piece with those of its group, or none. */
export function choosePiece(pieces: readonly Piece[], id: number | undefined): void {
  useMotif.setState({ chosen: id === undefined ? [] : withGroup(pieces, id), added: undefined });
}

/** Takes a piece and its group to those that are chosen, or away from them. */
export function togglePiece(pieces: readonly Piece[], id: number): void {
  useMotif.setState(({ chosen }) => {
    const some = withGroup(pieces, id);
    const others = chosen.filter((each) => !some.includes(each));
    return { chosen: chosen.includes(id) ? others : [...others, ...some], added: undefined };
  });
}

/** Takes pieces and their groups to those that are chosen. */
export function chooseToo(pieces: readonly Piece[], ids: readonly number[]): void {
  useMotif.setState(({ chosen }) => ({
    chosen: [...new Set([...chosen, ...ids.flatMap((id) => withGroup(pieces, id))])],
    added: undefined,
  }));
}

export function chooseAdded(id: number): void {
  useMotif.setState({ chosen: [id], added: id });
}

/** A piece and those of its group, itself last. */
function withGroup(pieces: readonly Piece[], id: number): readonly number[] {
  const group = pieces.find((piece) => piece.id === id)?.group ?? null;
  const others = pieces.filter((piece) => group !== null && piece.group === group && piece.id !== id);
  return [...others.map((piece) => piece.id), id];
}

/** The chosen piece whose numbers are shown. */
export function mainOf({ chosen }: Pick<MotifChoice, 'chosen'>): number | undefined {
  return chosen.at(-1);
}
