import { z } from 'zod';
import { SHADE_KEY } from '../../../colour/shade.ts';
import { CoreError } from '../../../error.ts';
import { parseExact } from '../../../exact/parse-exact.ts';
import { parsePortion } from '../../../exact/parse-portion.ts';
import { compare, type Rational, rational } from '../../../exact/rational.ts';
import { exactText } from '../../exact-text.ts';
import { strapSchema, strapsSchema } from '../../strap/strap-schema.ts';
import { parseLengthOrNone, parseSize } from '../tiling-numbers.ts';

const shadeKey = z.string().regex(SHADE_KEY);
const SOME_PIXEL = rational(1, 10);
const size = exactText((text) => parseSize(text, SOME_PIXEL));
const sizeOrNone = exactText((text) => parseLengthOrNone(text, SOME_PIXEL));

/** Reads the angle of star lines to a side, in degrees. @throws CoreError as `parseExact`, "star/angle" {text} */
export function parseStarAngle(text: string): Rational {
  const degrees = parseExact(text.replace(/\s*(°|deg|degrees)\s*$/i, ''));
  if (degrees.n <= 0n || compare(degrees, rational(90)) >= 0) throw new CoreError('star/angle', { text });
  return degrees;
}

/** Reads how far apart lines start, as a part of a side. @throws CoreError as `parsePortion`, "star/apart" {text} */
export function parseApart(text: string): Rational {
  const part = parsePortion(text);
  if (part.n < 0n || compare(part, rational(9, 10)) > 0) throw new CoreError('star/apart', { text });
  return part;
}

/** Lines from the middle of every side into its faces, which make stars. */
export const starSchema = z.strictObject({
  /** To the side, in degrees. */
  angle: exactText(parseStarAngle),
  /** How far apart two lines start on a side, as a part of it. */
  apart: exactText(parseApart),
  /** Lines, or straps; null where stars are but filled. */
  line: z
    .strictObject({
      width: size,
      shade: shadeKey,
      ends: z.enum(['round', 'sharp', 'flat']),
      strap: strapSchema({ size, sizeOrNone }).nullable(),
    })
    .nullable(),
  /** Shades of the stars of faces of so many sides. */
  fills: z.array(z.strictObject({ sides: z.int().min(3).max(400), shade: shadeKey })).max(24),
  /** Which strap goes over: in turn, which always comes out. */
  swapped: z.boolean(),
  turned: strapsSchema.shape.turned,
});

export type StarSpec = z.infer<typeof starSchema>;
