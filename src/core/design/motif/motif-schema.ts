import { z } from 'zod';
import { SHADE_KEY } from '../../colour/shade.ts';
import { cleanText } from '../../formats/clean-text.ts';
import { MAX_FADE_SHADES } from '../../shape/fade-way.ts';
import { parseLength } from '../../units/length.ts';
import { exactText } from '../exact-text.ts';
import { pictureSchema } from '../picture-schema.ts';
import { strapSchema, strapsSchema } from '../strap/strap-schema.ts';
import { makingSchema } from './making-schema.ts';
import {
  parseDegrees,
  parseShare,
  parseSteps,
  parseStepsOrNone,
  parseWay,
  SOME_SCALE,
} from './motif-numbers.ts';
import { type NumberShape, numberShapeSchemas } from './shapes.ts';

const steps = exactText((text) => parseSteps(text, SOME_SCALE));
const stepsOrNone = exactText((text) => parseStepsOrNone(text, SOME_SCALE));
const way = exactText((text) => parseWay(text, SOME_SCALE));
const shadeKey = z.string().regex(SHADE_KEY);

/** Most pieces of a motif, and most points of a line. */
export const MAX_PIECES = 2_000;
export const MAX_POINTS = 200;

/** Most boxes along a side within which copies vary, and the largest seed. */
export const MAX_VARIED = 12;
const MAX_SEED = 2 ** 31 - 1;

/** Stretched alike, so that they go a whole number of times. */
const dashesSchema = z.strictObject({ length: steps, gap: steps });

/** A line through points, from the piece's place. Without a width it is a shape, which a closed one encloses. */
const lineSchema = z.strictObject({
  kind: z.literal('line'),
  points: z
    .array(z.strictObject({ x: way, y: way, bend: z.enum(['corner', 'curve']), radius: stepsOrNone }))
    .min(2)
    .max(MAX_POINTS),
  run: z.enum(['open', 'closed', 'onward']),
  width: steps.nullable(),
  ends: z.enum(['round', 'sharp', 'flat']),
  dashes: dashesSchema.nullable(),
  /** Given, with a width: it goes over and under other straps. */
  strap: strapSchema({ size: steps, sizeOrNone: stepsOrNone }).nullable(),
});

export type LineShape = z.infer<typeof lineSchema>;

/** A line along the edge of a piece. */
const outlineSchema = z.strictObject({
  width: steps,
  shade: shadeKey,
  side: z.enum(['inside', 'on', 'outside']),
  ends: z.enum(['round', 'sharp', 'flat']),
  dashes: dashesSchema.nullable(),
});

const shades = z.array(shadeKey).min(2).max(MAX_FADE_SHADES);
const over = z.enum(['piece', 'repeat']);

/** Shades that go over into each other, at even steps, over the piece or over the whole repeat. */
const fadeSchema = z.discriminatedUnion('kind', [
  /** In a direction in degrees, which turns with the piece. */
  z.strictObject({ kind: z.literal('along'), shades, over, angle: exactText(parseDegrees) }),
  z.strictObject({ kind: z.literal('outward'), shades, over }),
]);

/** A soft copy beneath: so far to the right and up, blurred by a standard deviation. */
const shadowSchema = z.strictObject({
  x: way,
  y: way,
  softness: stepsOrNone,
  shade: shadeKey,
  strength: exactText(parseShare),
});

/** A piece: a shape where it lies, what is made of it further, and how it is painted. */
const pieceSchema = z.strictObject({
  /** By which other pieces are made with it. */
  id: z.int().min(1).max(1_000_000),
  name: z.string().overwrite(cleanText).max(120),
  shape: z.discriminatedUnion('kind', [lineSchema, ...numberShapeSchemas] as never) as unknown as z.ZodType<
    LineShape | NumberShape
  >,
  /** Its middle, or where a line's numbers count from, from the lower left of the box. */
  x: way,
  y: way,
  /** Degrees, counterclockwise; mirrored left to right before. */
  turn: exactText(parseDegrees),
  mirrored: z.boolean(),
  made: z.array(makingSchema).max(20),
  shade: shadeKey.nullable(),
  /** Given: painted with it instead of the shade. */
  fade: fadeSchema.nullable(),
  /** Over the shade or the fade. */
  picture: pictureSchema.nullable(),
  outline: outlineSchema.nullable(),
  shadow: shadowSchema.nullable(),
  /** Copies are lighter or darker by up to this share, by the seed of the motif. */
  vary: exactText(parseShare).nullable(),
  /** Pieces of one group are chosen and moved together. */
  group: z.string().overwrite(cleanText).min(1).max(60).nullable(),
  hidden: z.boolean(),
  locked: z.boolean(),
});

/** What lies over what where pieces overlap: a later piece over all earlier ones, or rows over each other. */
export const OVERLAPS = ['pieces', 'up', 'down', 'right', 'left'] as const;

/** Pieces on a grid, in a box that comes again and again. */
export const motifSchema = z.strictObject({
  kind: z.literal('motif'),
  step: exactText((text) => parseLength(text, 'mm', SOME_SCALE.pixel)),
  box: z.strictObject({ width: steps, height: steps }),
  /** What lies beneath; null: nothing. */
  ground: shadeKey.nullable(),
  /** In painting order. */
  pieces: z
    .array(pieceSchema)
    .max(MAX_PIECES)
    .superRefine((pieces, context) => {
      const ids = pieces.map(({ id }) => id);
      ids.forEach((id, index) => {
        if (ids.indexOf(id) < index) {
          context.addIssue({ code: 'custom', path: [index, 'id'], message: 'piece/twice' });
        }
      });
    }),
  overlap: z.enum(OVERLAPS),
  /** Copies that vary come again after so many boxes each way. */
  straps: strapsSchema,
  vary: z.strictObject({ boxes: z.int().min(1).max(MAX_VARIED), seed: z.int().min(0).max(MAX_SEED) }),
});

export type Motif = z.infer<typeof motifSchema>;
export type Piece = Motif['pieces'][number];
export type PieceShape = Piece['shape'];
export type PieceFade = NonNullable<Piece['fade']>;
export type PieceShadow = NonNullable<Piece['shadow']>;
export type PieceOutline = NonNullable<Piece['outline']>;
