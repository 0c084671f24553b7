import type { StrapSpec } from '../../strap/strap-schema.ts';
import { shownPieces } from '../made-pieces.ts';
import type { LineShape, Motif, Piece } from '../motif-schema.ts';

/** A piece that goes over and under others. */
export interface StrapPiece extends Piece {
  readonly shape: LineShape & { readonly width: string; readonly strap: StrapSpec };
}

export function isStrapPiece(piece: Piece): piece is StrapPiece {
  const { shape } = piece;
  return shape.kind === 'line' && shape.width !== null && shape.strap !== null;
}

/** The straps that are painted, in painting order. */
export function strapPieces(motif: Pick<Motif, 'pieces'>): readonly StrapPiece[] {
  return shownPieces(motif).filter(isStrapPiece);
}
