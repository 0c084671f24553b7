import { CoreError } from '../../../error.ts';
import { type StrapFigures, strapFigures } from '../../../shape/straps/strap-figures.ts';
import type { StrapStyle } from '../../../shape/straps/strap-style.ts';
import { isTooNarrow, readStrap } from '../../strap/read-strap.ts';
import { type StrapWork, strapWork } from '../../strap/strap-work.ts';
import type { LaidBox } from '../lay-box.ts';
import { type MotifScale, parseSteps, parseStepsOrNone } from '../motif-numbers.ts';
import type { Motif } from '../motif-schema.ts';
import { nameOf } from '../piece-name.ts';
import { linesOfPiece } from './piece-lines.ts';
import { type StrapPiece, strapPieces } from './strap-pieces.ts';

/** Where the straps of a motif cross. @throws CoreError as `strapWork`, `linesOfPiece` */
export function strapsOfMotif(motif: Motif, laid: LaidBox, scale: MotifScale): StrapWork {
  const lines = strapPieces(motif).flatMap((piece, style) =>
    linesOfPiece(piece, style, { scale, copies: laid.copies }),
  );
  return strapWork(lines, laid.lattice, motif.straps);
}

/** What each strap of a motif is painted by, in a whole repeat. @throws CoreError as `strapsOfMotif`, `stylesOf` */
export function figuresOfStraps(
  motif: Motif,
  laid: LaidBox,
  scale: MotifScale,
): ReadonlyMap<StrapPiece, StrapFigures> {
  const pieces = strapPieces(motif);
  if (pieces.length === 0) return new Map();
  const styles = stylesOf(motif, scale);
  const { course } = strapsOfMotif(motif, laid, scale);
  const figures = strapFigures(course, styles, laid.steps);
  return new Map(pieces.map((piece, at) => [piece, figures[at]!]));
}

/** How the straps of a motif look, in millimetres. @throws CoreError of their numbers; "straps/narrow" {piece}; "straps/gap" | "straps/outline" {piece} */
export function stylesOf(motif: Motif, scale: MotifScale): readonly StrapStyle[] {
  const readers = {
    size: (text: string) => parseSteps(text, scale),
    sizeOrNone: (text: string) => parseStepsOrNone(text, scale),
  };
  return strapPieces(motif).map((piece) => {
    const style = readStrap(piece.shape.strap, piece.shape, readers);
    if (isTooNarrow(style)) throw new CoreError('straps/narrow', { piece: nameOf(piece) });
    // Where straps come round it would be drawn across them.
    if (piece.outline !== null) throw new CoreError('straps/outline', { piece: nameOf(piece) });
    if (style.gap > style.width) throw new CoreError('straps/gap', { piece: nameOf(piece) });
    return style;
  });
}
