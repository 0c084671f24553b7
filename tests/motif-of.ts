import { shadeOfLetter } from '../src/core/colour/letter-shades.ts';
import type { MotifDesign } from '../src/core/design/design-schema.ts';
import type { Arrangement } from '../src/core/design/lay/lay-schema.ts';
import type { Motif, Piece, PieceShape } from '../src/core/design/motif/motif-schema.ts';
import { usualPiece } from '../src/core/design/motif/usual-piece.ts';
import { newMotif } from '../src/core/design/new-design.ts';
import { asKind } from '../src/core/design/of-kind.ts';
import { readDesign } from '../src/core/design/read-design.ts';

/** A piece of which a test says what matters. */
export type SomePiece = Partial<Piece> & { readonly shape: PieceShape };

/** A motif of pieces in the middle of a box of so many steps of 5 mm a side, on cream, blue where nothing else is said. */
export function motifOf(
  pieces: readonly SomePiece[],
  more: Partial<Motif> & { readonly lay?: Arrangement } = {},
  side = 8,
): MotifDesign {
  const { lay: arrangement, ...rest } = more;
  const middle = `${side}/2`;
  return asKind(
    'motif',
    readDesign(
      newMotif({
        name: 'Motif',
        shades: [...'CBR'].map(shadeOfLetter),
        box: { width: String(side), height: String(side) },
        ground: 'C',
        ...rest,
        ...(arrangement === undefined ? {} : { lay: { arrangement } }),
        pieces: pieces.map(({ shape, ...piece }, at) =>
          usualPiece(at + 1, shape, middle, middle, { shade: 'B', ...piece }),
        ),
      }),
    ),
  );
}

export const disc = (across: string): PieceShape => ({ kind: 'disc', across });
