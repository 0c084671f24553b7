import { CoreError } from '../../error.ts';
import type { Figure } from '../../shape/figure.ts';
import { NO_PICTURES } from '../../shape/picture.ts';
import type { MadePiece } from './layer.ts';
import type { MotifScale } from './motif-numbers.ts';
import type { Motif, Piece } from './motif-schema.ts';
import { layersOf } from './piece-layers.ts';
import { nameOf } from './piece-name.ts';

/** Pieces that others are made with: they are not painted for themselves. */
export function usedBy({ pieces }: Pick<Motif, 'pieces'>): ReadonlySet<number> {
  return new Set(
    pieces.flatMap(({ made }) => made.flatMap((making) => ('with' in making ? making.with : []))),
  );
}

/** Pieces that are painted: neither hidden nor used up by others. */
export function shownPieces({ pieces }: Pick<Motif, 'pieces'>): readonly Piece[] {
  const used = usedBy({ pieces });
  return pieces.filter(({ id, hidden }) => !hidden && !used.has(id));
}

/** Every piece as it is made. @throws CoreError as `layersOf`, "motif/missing" {piece, other}, "motif/circular" {piece} */
export function madePieces(
  { pieces }: Pick<Motif, 'pieces'>,
  scale: MotifScale,
  pictures = NO_PICTURES,
): ReadonlyMap<Piece, MadePiece> {
  const known = new Map(pieces.map((piece) => [piece.id, piece]));
  const made = new Map<Piece, MadePiece>();
  const open = new Set<Piece>();
  const make = (piece: Piece): MadePiece => {
    const ready = made.get(piece);
    if (ready !== undefined) return ready;
    if (open.has(piece)) throw new CoreError('motif/circular', { piece: nameOf(piece) });
    open.add(piece);
    const done = layersOf(piece, { scale, pictures, figureOf });
    open.delete(piece);
    made.set(piece, done);
    return done;
  };
  const figureOf = (id: number, from: Piece): Figure => {
    const other = known.get(id);
    if (other === undefined) throw new CoreError('motif/missing', { piece: nameOf(from), other: id });
    return make(other).figure;
  };
  return new Map(pieces.map((piece) => [piece, make(piece)]));
}
