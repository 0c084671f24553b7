import { z } from 'zod';
import { MOST_PATH_TEXT } from '../../scene/read-path.ts';
import { sceneOf } from '../../scene/scenes.ts';
import { LETTER_FONT_KEYS } from '../../shape/letters/letters.ts';
import { type Design, designSchema } from '../design-schema.ts';
import { exactText, mistakeOf, takenBy } from '../exact-text.ts';
import { parseRepeats, parseScale } from '../lay/lay-numbers.ts';
import { parseDegrees, parseWay, SOME_SCALE } from '../motif/motif-numbers.ts';
import {
  parsePart,
  parsePersonHeight,
  parseSeenFrom,
  parseShading,
  readSceneNumber,
} from './try-on-numbers.ts';

const way = exactText((text) => parseWay(text, SOME_SCALE));
const degrees = exactText(parseDegrees);
const part = exactText(parsePart);
const corner = z.strictObject({ x: way, y: way });

/** A bend, its numbers as they were typed. Whether they can be is found when the part is drawn. */
const bendSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('arc'), degrees }),
  z.strictObject({ kind: z.literal('waist'), share: part, at: part, reach: part }),
  z.strictObject({ kind: z.literal('ripple'), length: way, height: way }),
  z.strictObject({ kind: z.literal('folds'), count: exactText(parseRepeats), depth: way }),
  z.strictObject({ kind: z.literal('form'), across: degrees, up: degrees }),
  z.strictObject({
    kind: z.literal('perspective'),
    /** Within the part's box, from the lower left counterclockwise. */
    corners: z.tuple([corner, corner, corner, corner]),
  }),
]);

export type BendSpec = z.infer<typeof bendSchema>;
export type BendKind = BendSpec['kind'];

/** Most bends of one part, and most other designs of one scene. */
export const MOST_BENDS = 6;
export const MOST_CLOTHS = 8;

const partSchema = z.strictObject({
  /** The design itself, one of the other cloths by its place, or none: bare. */
  cloth: z.union([
    z.literal('design'),
    z
      .int()
      .min(0)
      .max(MOST_CLOTHS - 1),
    z.null(),
  ]),
  /** True size is a factor of 1; a count is of repeats across the part. */
  scale: z.discriminatedUnion('to', [
    z.strictObject({ to: z.literal('factor'), factor: exactText(parseScale) }),
    z.strictObject({ to: z.literal('count'), count: exactText(parseRepeats) }),
  ]),
  /** Degrees from the part's grain, counterclockwise. */
  turn: degrees,
  /** To the right and up, in millimetres where no unit is given. */
  shift: z.strictObject({ x: way, y: way }),
  /** Null for those that the scene has. */
  bends: z.array(bendSchema).max(MOST_BENDS).nullable(),
  /** How strongly light and shade of folds and forms are seen, 0 to 1. */
  shading: exactText(parseShading),
});

export type PartSpec = z.infer<typeof partSchema>;

const key = z.string().regex(/^[a-zA-Z][a-zA-Z0-9-]{0,39}$/);

/** Another design in a scene, as it was when it was taken. */
export interface ClothSpec {
  design: Design;
  /** Where it lies on the shelf; null where nowhere. */
  from: { id: string; version: number } | null;
}

const clothSchema: z.ZodType<ClothSpec> = z.strictObject({
  // Either module may be loaded first.
  design: z.lazy((): z.ZodType<Design> => designSchema),
  from: z.strictObject({ id: z.string().min(1).max(120), version: z.int().min(1) }).nullable(),
});

const sceneSchema = z.strictObject({
  /** Key of the scene. */
  scene: z.string().max(60).superRefine(takenBy(sceneOf)),
  /** Its numbers, as far as others were typed than the usual ones. */
  numbers: z.record(key, z.string().max(200)),
  letters: z.strictObject({ text: z.string().min(1).max(60), font: z.enum(LETTER_FONT_KEYS) }),
  /** SVG path data. */
  path: z.string().max(MOST_PATH_TEXT),
  /** Parts that were changed, by their keys. */
  parts: z.record(key, partSchema),
  /** Height of a person beside it; null for none. */
  person: exactText(parsePersonHeight).nullable(),
  /** How far away it is seen from; null for close to. */
  seenFrom: exactText(parseSeenFrom).nullable(),
});

export interface TryOn extends z.infer<typeof sceneSchema> {
  cloths: ClothSpec[];
}

/** A scene that the cloth is tried on. The design's numbers are not touched by it. */
export const tryOnSchema: z.ZodType<TryOn> = sceneSchema
  .extend({ cloths: z.array(clothSchema).max(MOST_CLOTHS) })
  .superRefine((tryOn, context) => {
    for (const [name, text] of Object.entries(tryOn.numbers)) {
      const wrong = mistakeOf(() => readSceneNumber(tryOn.scene, name, text));
      if (wrong !== undefined) context.addIssue({ ...wrong, path: ['numbers', name] });
    }
    for (const [name, { cloth }] of Object.entries(tryOn.parts)) {
      if (typeof cloth !== 'number' || cloth < tryOn.cloths.length) continue;
      context.addIssue({ code: 'custom', path: ['parts', name, 'cloth'], message: 'try-on/cloth' });
    }
    tryOn.cloths.forEach(({ design }, at) => {
      const isPlain = design.tryOn === null && Object.keys(design.pictures).length === 0;
      if (isPlain) return;
      context.addIssue({ code: 'custom', path: ['cloths', at, 'design'], message: 'try-on/within' });
    });
  });
