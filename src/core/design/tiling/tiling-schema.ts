import { z } from 'zod';
import { MAX_SHADES, SHADE_KEY } from '../../colour/shade.ts';
import { rational } from '../../exact/rational.ts';
import { cleanText } from '../../formats/clean-text.ts';
import { LETTER_FONT_KEYS } from '../../shape/letters/letters.ts';
import { exactText } from '../exact-text.ts';
import { pictureSchema } from '../picture-schema.ts';
import { formSchema } from './form-schema.ts';
import { starSchema } from './star/star-schema.ts';
import {
  isRingWithin,
  MAX_RINGS,
  parseDiagonal,
  parseLengthOrNone,
  parseNarrow,
  parsePart,
  parseProportion,
  parseRingStart,
  parseShare,
  parseSize,
} from './tiling-numbers.ts';

const proportion = exactText(parseProportion);

/** A document is right at any resolution: what a pixel measures is said beside it. */
const SOME_PIXEL = rational(1, 10);
const size = exactText((text) => parseSize(text, SOME_PIXEL));
const ringStart = exactText((text) => parseRingStart(text, SOME_PIXEL));
const sizeOrNone = exactText((text) => parseLengthOrNone(text, SOME_PIXEL));

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

/** Only faces of that many sides; null for all. */
const faceSides = z
  .string()
  .regex(/^\d{1,3}$/)
  .nullable();

const lettersSchema = z.strictObject({
  text: z.string().overwrite(cleanText).min(1).max(60),
  font: z.enum(LETTER_FONT_KEYS),
  /** Of the capitals. */
  height: size,
  shade: shadeKey,
  /** Whether they turn with each face, standing on its first side; else they are upright. */
  turned: z.boolean(),
  of: faceSides,
});

/**
 * Lines over the faces: along their sides, inside their sides all round, from their middles to corners or to middles of
 * sides, or between those.
 */
const linesSchema = z.strictObject({
  what: z.enum(['sides', 'frames', 'spokes', 'rays', 'stars']),
  /** Only sides between faces of those numbers of sides ("4|8"), or lines in faces of that many ("8"); null for all. */
  of: z
    .string()
    .regex(/^\d{1,3}(\|\d{1,3})?$/)
    .nullable(),
  width: size,
  shade: shadeKey,
  /** How they end and meet: round, drawn out to a point or past their end, or cut off. */
  ends: z.enum(['round', 'sharp', 'flat']),
  /** So many dashes a line, each a share of its place long. */
  dashes: z.strictObject({ count: z.int().min(1).max(60), share: exactText(parseNarrow) }).nullable(),
  /** For stars: each middle of a side is joined to that many further on. */
  skip: z.int().min(1).max(20),
  /** For spokes and rays: to every so many of them, from the first, 0 being the highest; counterclockwise. */
  every: z.int().min(1).max(60),
  first: z.int().min(0).max(59),
});

/** Most sorts of lines. */
export const MAX_LINES = 8;

/** A fade across faces: shades at even steps along a direction. */
const fadeSchema = z.strictObject({
  shades: z.array(shadeKey).min(2).max(8),
  /** In steps of 15° from the right, or with `turned` from each face's first side. */
  angle: z.int().min(0).max(23),
  turned: z.boolean(),
  of: faceSides,
});

/** What a tiling's size may be of. */
export const MEASURED_SIZES = ['side', 'width', 'height', 'flats', 'corners', 'repeat', 'one'] as const;

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
  size,
  /**
   * What the size is of: the longest side before it is stretched; what the form's numbers call 1; the width of so many
   * upright repeats; or of the face with the most sides its width, its height, or its width across its flats or corners.
   */
  measured: z.enum(MEASURED_SIZES),
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
   * Rings inside every face, from the outermost: each begins where the face is so large beside what gaps leave of it, or
   * so far inside that, and goes on to the next; in a shade, or null for the face's own. What lies outside the first has
   * the face's own.
   */
  rings: z
    .array(z.strictObject({ share: ringStart, shade: shadeKey.nullable() }))
    .max(MAX_RINGS)
    .refine((rings) => rings.every(({ share }, at) => at === 0 || isWithin(share, rings[at - 1]!.share))),
  fade: fadeSchema.nullable(),
  /** A picture in faces, of those of so many sides or of all; upright, or turned with each face's first side. */
  picture: z.strictObject({ picture: pictureSchema, turned: z.boolean(), of: faceSides }).nullable(),
  /** Gaps between faces: each is taken in by a distance, its corners rounded by a radius. */
  gaps: z.strictObject({ by: size, corner: sizeOrNone, shade: shadeKey }).nullable(),
  lines: z.array(linesSchema).max(MAX_LINES),
  star: starSchema.nullable(),
  /** Letters in the middle of faces, of those of so many sides or of all. */
  letters: lettersSchema.nullable(),
});

function isWithin(start: string, outside: string): boolean {
  try {
    return isRingWithin(start, outside, SOME_PIXEL);
  } catch {
    return false;
  }
}

export type TilingSpec = z.infer<typeof tilingSchema>;
export type LinesSpec = TilingSpec['lines'][number];
export type LettersSpec = NonNullable<TilingSpec['letters']>;
export type PictureSpec = NonNullable<TilingSpec['picture']>;
export type FadeSpec = NonNullable<TilingSpec['fade']>;
