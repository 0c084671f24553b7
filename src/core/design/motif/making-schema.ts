import { z } from 'zod';
import { SHADE_KEY } from '../../colour/shade.ts';
import { exactText } from '../exact-text.ts';
import { parseDegrees, parseSteps, parseStepsOrNone, parseWay, SOME_SCALE } from './motif-numbers.ts';

const way = exactText((text) => parseWay(text, SOME_SCALE));
const steps = exactText((text) => parseSteps(text, SOME_SCALE));
const stepsOrNone = exactText((text) => parseStepsOrNone(text, SOME_SCALE));
const degrees = exactText(parseDegrees);

/** Most copies that a piece may come to, and most bands around it. */
export const MAX_COPIES = 10_000;
export const MAX_BANDS = 24;

const copies = z.int().min(1).max(MAX_COPIES);
const pieces = z.array(z.int().min(1)).min(1).max(60);

/** What is made of a piece further. Places count from the lower left of the box. */
export const makingSchema = z.discriminatedUnion('kind', [
  /** So many in all, each a way from the one before. */
  z.strictObject({ kind: z.literal('copies'), count: copies, x: way, y: way }),
  /** So many in all round a place, by an angle each, or evenly all round. */
  z.strictObject({ kind: z.literal('round'), count: copies, x: way, y: way, by: degrees.nullable() }),
  /** And once more, mirrored in the line through a place that rises by an angle. */
  z.strictObject({ kind: z.literal('mirror'), x: way, y: way, angle: degrees }),
  z.strictObject({ kind: z.literal('grid'), across: copies, up: copies, x: way, y: way }),
  /** Bands along the edge, one after another, each in a shade or left open. */
  z.strictObject({
    kind: z.literal('bands'),
    side: z.enum(['outward', 'inward']),
    corner: z.enum(['round', 'sharp', 'flat']),
    bands: z
      .array(z.strictObject({ width: steps, shade: z.string().regex(SHADE_KEY).nullable() }))
      .min(1)
      .max(MAX_BANDS),
  }),
  z.strictObject({ kind: z.literal('rounded'), radius: stepsOrNone }),
  z.strictObject({ kind: z.literal('moved'), x: way, y: way }),
  /** With other pieces, which are then not painted for themselves. */
  z.strictObject({ kind: z.literal('join'), with: pieces }),
  z.strictObject({ kind: z.literal('cut'), with: pieces }),
  z.strictObject({ kind: z.literal('overlap'), with: pieces }),
  /** What lies in the others has another shade, or is left open. */
  z.strictObject({
    kind: z.literal('divide'),
    with: pieces,
    shade: z.string().regex(SHADE_KEY).nullable(),
  }),
]);

export type Making = z.infer<typeof makingSchema>;
export type MakingKind = Making['kind'];
