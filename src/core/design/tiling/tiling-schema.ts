import { z } from 'zod';
import { MAX_SHADES, SHADE_KEY } from '../../colour/shade.ts';
import { CoreError } from '../../error.ts';
import { parseExact } from '../../exact/parse-exact.ts';
import { compare, ONE, type Rational, rational, toText } from '../../exact/rational.ts';
import { ARCHIMEDEAN, type Archimedean } from '../../tiling/forms/archimedean.ts';
import { TWO_KINDS, type TwoKinds } from '../../tiling/forms/two-kinds.ts';
import { GROWN_SIDES, MAX_GROWN } from '../../tiling/growth.ts';
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

/** Reads a part of a whole between two others, both left out. @throws CoreError "tiling/between" {text, low, high} */
function parseBetween(text: string, low: Rational, high: Rational): Rational {
  const value = parseExact(text);
  if (compare(value, low) <= 0 || compare(value, high) >= 0 || value.d > 1000n) {
    throw new CoreError('tiling/between', { text, low: toText(low), high: toText(high) });
  }
  return value;
}

/** Reads half a slanting side of pentagons: between 0 and 1/2. @throws CoreError as `parseBetween` */
export function parseHalf(text: string): Rational {
  return parseBetween(text, rational(0), rational(1, 2));
}

/** Reads the width of a brick 1 long: between 0 and 1. @throws CoreError as `parseBetween` */
export function parseNarrow(text: string): Rational {
  return parseBetween(text, rational(0), ONE);
}

/** Reads how far something leans: 0, or as a proportion. @throws CoreError as `parseProportion` */
export function parseLean(text: string): Rational {
  const value = parseExact(text);
  return value.n === 0n ? value : parseProportion(text);
}

/** Largest numbers of repeats whose diagonal is made level. */
const MOST_ACROSS = 99n;

/** Reads up/across in whole repeats, 0 for none. @throws CoreError as `parseExact`, or "tiling/diagonal" {text, most} */
export function parseDiagonal(text: string): Rational {
  const value = parseExact(text);
  if (value.n < -MOST_ACROSS || value.n > MOST_ACROSS || value.d > MOST_ACROSS) {
    throw new CoreError('tiling/diagonal', { text, most: Number(MOST_ACROSS) });
  }
  return value;
}

/** Reads a length that may be none. @throws CoreError as `parseLength`, or "tiling/size" {text, most} */
export function parseLengthOrNone(text: string): Rational {
  return /^\s*0+(\.0+)?\s*(mm|cm|in)?\s*$/i.test(text) ? rational(0) : parseSize(text);
}

const proportion = exactText(parseProportion);
const count = z.int().min(1).max(12);

/** A face that was grown: on a side of an earlier face (null for the first), with sides of 1. */
const grownSchema = z.strictObject({
  on: z.strictObject({ face: z.int().min(0), side: z.int().min(0).max(11) }).nullable(),
  /** A regular polygon of so many sides, or a rhombus by its angle in steps of 15°. */
  shape: z.union([z.literal(GROWN_SIDES), z.strictObject({ angle: z.int().min(1).max(11) })]),
});

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
  z.strictObject({ kind: z.literal('angled'), rise: z.int().min(1).max(5) }),
  z.strictObject({ kind: z.literal('parallelograms'), height: proportion, lean: exactText(parseLean) }),
  z.strictObject({ kind: z.literal('kites'), above: proportion, below: proportion }),
  z.strictObject({ kind: z.literal('pentagons'), half: exactText(parseHalf) }),
  z.strictObject({ kind: z.literal('herringbone'), width: exactText(parseNarrow) }),
  z.strictObject({ kind: z.literal('hexagons-triangles'), other: proportion }),
  z.strictObject({ kind: z.literal('grown'), faces: z.array(grownSchema).min(1).max(MAX_GROWN) }),
]);

export type FormSpec = z.infer<typeof formSchema>;

export const TILING_COLOURS = ['sides', 'directions', 'neighbours', 'faces', 'rows', 'hand'] as const;
export type TilingColours = (typeof TILING_COLOURS)[number];

/** Most shades of rows in turn, and most cells along each side of a block that is coloured by hand or scattered over. */
export const MAX_ROWS = 12;
export const MAX_BLOCK = 12;

const shadeKey = z.string().regex(SHADE_KEY);
const block = z.int().min(1).max(MAX_BLOCK);

/** Which faces are alike. */
const coloursSchema = z.discriminatedUnion('by', [
  z.strictObject({ by: z.literal('sides') }),
  z.strictObject({ by: z.literal('directions') }),
  z.strictObject({ by: z.literal('neighbours') }),
  z.strictObject({ by: z.literal('faces') }),
  /** Rows of cells along a vector of the tiling's lattice, or along its other diagonal. */
  z.strictObject({
    by: z.literal('rows'),
    way: z.enum(['first', 'second', 'diagonal']),
    count: z.int().min(2).max(MAX_ROWS),
  }),
  /** Every face of a block of cells: those of a cell together, cells from the first across and then up. */
  z.strictObject({
    by: z.literal('hand'),
    across: block,
    up: block,
    shades: z.array(shadeKey).min(1).max(20_000),
  }),
]);

/** Lines over the faces: along their sides, from their middles to corners or to middles of sides, or between those. */
const linesSchema = z.strictObject({
  what: z.enum(['sides', 'spokes', 'rays', 'stars']),
  /** Only sides between faces of those numbers of sides ("4|8"), or lines in faces of that many ("8"); null for all. */
  of: z
    .string()
    .regex(/^\d{1,3}(\|\d{1,3})?$/)
    .nullable(),
  width: exactText(parseSize),
  shade: shadeKey,
  /** How they end and meet: round, drawn out to a point or past their end, or cut off. */
  ends: z.enum(['round', 'sharp', 'flat']),
  /** So many dashes a line, each a share of its place long. */
  dashes: z.strictObject({ count: z.int().min(1).max(60), share: exactText(parseNarrow) }).nullable(),
  /** For stars: each middle of a side is joined to that many further on. */
  skip: z.int().min(1).max(20),
});

/** Most sorts of lines. */
export const MAX_LINES = 8;

/** A fade across faces: shades at even steps along a direction. */
const fadeSchema = z.strictObject({
  shades: z.array(shadeKey).min(2).max(8),
  /** In steps of 15° from the right, or with `turned` from each face's first side. */
  angle: z.int().min(0).max(23),
  turned: z.boolean(),
  /** Only in faces of that many sides; null for all. */
  of: z
    .string()
    .regex(/^\d{1,3}$/)
    .nullable(),
});

/** Polygons that cover the plane. */
export const tilingSchema = z.strictObject({
  kind: z.literal('tiling'),
  form: formSchema,
  /** Whether the middles of its faces become corners, and its corners faces. */
  dual: z.boolean(),
  /** By how many steps of 15° it is turned, counterclockwise. */
  turn: z.int().min(0).max(23),
  /** What its heights are then multiplied by. */
  stretch: proportion,
  /** By what part of a repeat's width each repeat is then moved to the right of the one below. */
  shear: exactText(parsePart),
  /** Repeats up/across whose diagonal is then made level; 0 for none. */
  diagonal: exactText(parseDiagonal),
  size: exactText(parseSize),
  /**
   * What the size is of: a side of 1 before it is stretched, the width of so many upright repeats, or the width of the
   * face with the most sides across its flats or across its corners.
   */
  measured: z.enum(['side', 'repeat', 'flats', 'corners']),
  repeats: z.int().min(1).max(10_000),
  colours: coloursSchema,
  /** A shade for each kind of face, in their order; they begin again where there are more kinds than shades. */
  faces: z.array(shadeKey).min(1).max(MAX_SHADES),
  /** Single faces in a lighter or darker version, scattered over so many times the cells that the colours take each way. */
  scatter: z
    .strictObject({
      times: block,
      seed: z.int().min(0).max(0xffff_ffff),
      /** How many of the faces, and by what share of full lightness at most. */
      share: exactText(parseShare),
      by: exactText(parseShare),
    })
    .nullable(),
  /**
   * Rings inside every face, from the outermost: each begins where the face is so large beside its full size, and goes
   * on to the next; in a shade, or null for the face's own. What lies outside the first has the face's own.
   */
  rings: z
    .array(z.strictObject({ share: exactText(parseShare), shade: shadeKey.nullable() }))
    .max(MAX_RINGS)
    .refine((rings) => rings.every(({ share }, at) => at === 0 || isSmaller(share, rings[at - 1]!.share))),
  fade: fadeSchema.nullable(),
  /** Gaps between faces: each is taken in by a distance, its corners rounded by a radius. */
  gaps: z
    .strictObject({ by: exactText(parseSize), corner: exactText(parseLengthOrNone), shade: shadeKey })
    .nullable(),
  lines: z.array(linesSchema).max(MAX_LINES),
});

function isSmaller(share: string, than: string): boolean {
  try {
    return compare(parseShare(share), parseShare(than)) < 0;
  } catch {
    return false;
  }
}

export type TilingSpec = z.infer<typeof tilingSchema>;
export type LinesSpec = TilingSpec['lines'][number];
export type FadeSpec = NonNullable<TilingSpec['fade']>;
