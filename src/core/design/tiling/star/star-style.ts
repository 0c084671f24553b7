import { CoreError } from '../../../error.ts';
import type { Rational } from '../../../exact/rational.ts';
import type { StrapStyle } from '../../../shape/straps/strap-style.ts';
import { isTooNarrow, readStrap } from '../../strap/read-strap.ts';
import type { StrapSpec } from '../../strap/strap-schema.ts';
import { parseLengthOrNone, parseSize } from '../tiling-numbers.ts';
import type { StarSpec } from './star-schema.ts';

/** What a star's line is where it is no strap. */
export const PLAIN: StrapSpec = { gap: '0', edges: [], centre: null, dip: null };

/**
 * How the lines of stars look, in millimetres.
 * @param pixel  millimetres of one
 * @throws CoreError of their numbers; "star/narrow"; "star/gap"
 */
export function starStyle(line: NonNullable<StarSpec['line']>, pixel: Rational): StrapStyle {
  const readers = {
    size: (text: string) => parseSize(text, pixel),
    sizeOrNone: (text: string) => parseLengthOrNone(text, pixel),
  };
  const style = { ...readStrap(line.strap ?? PLAIN, line, readers), crosses: line.strap !== null };
  if (isTooNarrow(style)) throw new CoreError('star/narrow', {});
  if (style.gap > style.width) throw new CoreError('star/gap', {});
  return style;
}
