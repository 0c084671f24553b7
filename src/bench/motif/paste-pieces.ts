import type { MotifDesign } from '../../core/design/design-schema.ts';
import type { Motif, Piece } from '../../core/design/motif/motif-schema.ts';
import { cardWith } from '../../core/design/motif/text/motif-from-text.ts';
import { writePiece } from '../../core/design/motif/text/write-motif-text.ts';

/** Pieces as text, with those that they are made with. */
export function copyPieces(pieces: readonly Piece[], ids: readonly number[]): string {
  const known = new Map(pieces.map((piece) => [piece.id, piece]));
  const needed = new Set<number>();
  const need = (id: number) => {
    const piece = known.get(id);
    if (piece === undefined || needed.has(id)) return;
    needed.add(id);
    for (const making of piece.made) if ('with' in making) making.with.forEach(need);
  };
  ids.forEach(need);
  return pieces
    .filter(({ id }) => needed.has(id))
    .map(writePiece)
    .join('\n');
}

/** A design with the pieces of another motif over its own, under ids of their own, and the shades that they need. */
export function withPasted(
  design: MotifDesign,
  motif: Motif,
): { design: MotifDesign; ids: readonly number[] } {
  const { construction } = design;
  const most = Math.max(0, ...construction.pieces.map(({ id }) => id));
  const ids = new Map(motif.pieces.map(({ id }, at) => [id, most + at + 1]));
  const pasted = motif.pieces.map((piece) => ({
    ...piece,
    id: ids.get(piece.id)!,
    made: piece.made.map((making) =>
      'with' in making ? { ...making, with: making.with.map((id) => ids.get(id) ?? id) } : making,
    ),
  }));
  const onlyPieces = { ...motif, ground: null };
  return {
    design: {
      ...design,
      shades: cardWith(design.shades, onlyPieces),
      construction: { ...construction, pieces: [...construction.pieces, ...pasted] },
    },
    ids: [...ids.values()],
  };
}
