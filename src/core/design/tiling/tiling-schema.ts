import { z } from 'zod';
import { MAX_SHADES, SHADE_KEY } from '../../colour/shade.ts';
import { CoreError } from '../../error.ts';
import { parseExact } from '../../exact/parse-exact.ts';
import { compare, ONE, type Rational, rational } from '../../exact/rational.ts';
import { ARCHIMEDEAN, type Archimedean } from '../../tiling/forms/archimedean.ts';
import { TWO_KINDS, type TwoKinds } from '../../tiling/forms/two-kinds.ts';
import { parseLength } from '../../units/length.ts';
import { exactText } from '../exact-text.ts';

/** Largest proportion of a tiling's sides, and largest number that one may be parted by. */
const MOST_PROPORTION = 100;

/**
 * Reads a proportion such as "3/4" or "1.5": above 0, in at most hundredths.
 * @throws CoreError as `parseExact`, or "tiling/proportion" {text, most}
 */
export function parseProportion(text: string): Rational {
  const value = parseExact(text);
  const most = BigInt(MOST_PROPORTION);
  if (!(value.n > 0n && value.n <= most * value.d && value.d <= most)) {
    throw new CoreError('tiling/proportion', { text, most: MOST_PROPORTION });
  }
  return value;
}

/**
 * Reads a part of a whole, 0 ≤ part < 1, such as "1/2".
 * @throws CoreError as `parseExact`, or "tiling/part" {text}
 */
export function parsePart(text: string): Rational {
  const value = parseExact(text);
  if (value.n < 0n || compare(value, ONE) >= 0 || value.d > 1000n)
    throw new CoreError('tiling/part', { text });
  return value;
}

/** Reads a small square's side beside one of 1: above 0, at most 1. @throws CoreError "tiling/part" {text} */
export function parseSmall(text: string): Rational {
  const value = parseExact(text);
  if (value.n <= 0n || compare(value, ONE) > 0 || value.d > 1000n)
    throw new CoreError('tiling/part', { text });
  return value;
}

/** Reads how large a ring is beside its face: above 0, at most 1. @throws CoreError "tiling/part" {text} */
export const parseShare = parseSmall;

/** Most rings in a face. */
export const MAX_RINGS = 8;

/** Longest side or repeat, in millimetres. */
const MAX_SIZE = 100_000;

/** Reads a size; a bare number is in millimetres. @throws CoreError as `parseLength`, or "tiling/size" {text, most} */
export function parseSize(text: string): Rational {
  const size = parseLength(text, 'mm');
  if (compare(size, rational(MAX_SIZE)) > 0)
    throw new CoreError('tiling/size', { text, most: MAX_SIZE / 1000 });
  return size;
}

const proportion = exactText(parseProportion);
const count = z.int().min(1).max(12);

/** Which tiling, as numbers; each kind as the function of that name in `core/tiling/forms` says. */
const formSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('regular'),
    name: z.enum(Object.keys(ARCHIMEDEAN) as [Archimedean, ...Archimedean[]]),
  }),
  z.strictObject({
    kind: z.literal('two-kinds'),
    name: z.enum(Object.keys(TWO_KINDS) as [TwoKinds, ...TwoKinds[]]),
  }),
  z.strictObject({ kind: z.literal('rows'), squares: count, triangles: count }),
  z.strictObject({ kind: z.literal('rhombus'), across: proportion, up: proportion }),
  z.strictObject({ kind: z.literal('bricks'), height: proportion, step: exactText(parsePart) }),
  z.strictObject({ kind: z.literal('basket'), count }),
  z.strictObject({ kind: z.literal('squares'), small: exactText(parseSmall) }),
  z.strictObject({ kind: z.literal('octagons'), slant: proportion }),
  z.strictObject({ kind: z.literal('triangles'), height: proportion, tip: exactText(parsePart) }),
  z.strictObject({ kind: z.literal('hexagons'), across: proportion, up: proportion }),
]);

export type FormSpec = z.infer<typeof formSchema>;

export const TILING_COLOURS = ['sides', 'directions', 'neighbours', 'faces'] as const;
export type TilingColours = (typeof TILING_COLOURS)[number];

/** Polygons that cover the plane. */
export const tilingSchema = z.strictObject({
  kind: z.literal('tiling'),
  form: formSchema,
  /** Whether the middles of its faces become corners, and its corners faces. */
  dual: z.boolean(),
  /** By how many steps of 15° it is turned, counterclockwise. */
  turn: z.int().min(0).max(23),
  size: exactText(parseSize),
  /** What the size is of: a side of 1, or the width of one upright repeat. */
  measured: z.enum(['side', 'repeat']),
  /** Which faces are alike. */
  colours: z.enum(TILING_COLOURS),
  /** A shade for each kind of face, in their order; they begin again where there are more kinds than shades. */
  faces: z.array(z.string().regex(SHADE_KEY)).min(1).max(MAX_SHADES),
  /**
   * Rings inside every face, from the outermost: each begins where the face is so large beside its full size, and goes
   * on to the next; in a shade, or null for the face's own. What lies outside the first has the face's own.
   */
  rings: z
    .array(z.strictObject({ share: exactText(parseShare), shade: z.string().regex(SHADE_KEY).nullable() }))
    .max(MAX_RINGS)
    .refine((rings) => rings.every(({ share }, at) => at === 0 || isSmaller(share, rings[at - 1]!.share))),
});

function isSmaller(share: string, than: string): boolean {
  try {
    return compare(parseShare(share), parseShare(than)) < 0;
  } catch {
    return false;
  }
}

export type TilingSpec = z.infer<typeof tilingSchema>;
