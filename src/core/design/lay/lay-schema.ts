import { z } from 'zod';
import { divide, ONE, type Rational } from '../../exact/rational.ts';
import { readDegrees } from '../../exact/read-degrees.ts';
import type { Vector } from '../../exact/vector.ts';
import { BOX_GROUPS } from '../../repeat/lay/group-blocks.ts';
import { PIVOTS } from '../../repeat/lay/lay-cells.ts';
import { SIXTY_GROUPS } from '../../repeat/lay/sixty-groups.ts';
import type { BandScale } from '../../units/band-width.ts';
import { DENSITY_BASES, parseDensity, threadPitch } from '../../units/density.ts';
import { LENGTH_UNITS, parseLength, toMillimetres } from '../../units/length.ts';
import { parseResolution } from '../../units/resolution.ts';
import { exactText } from '../exact-text.ts';
import { parseWay, SOME_SCALE } from '../motif/motif-numbers.ts';
import { parseRepeats, parseScale, parseStepPart } from './lay-numbers.ts';

const way = exactText((text) => parseWay(text, SOME_SCALE));
const waySchema = z.strictObject({ x: way, y: way });

/** Plane groups by which something can be copied; all but shifts alone. */
export const LAY_GROUPS = [...BOX_GROUPS, ...SIXTY_GROUPS] as const;

/** How boxes are set side by side; a box is what is drawn once: a motif's box, or one repeat of anything else. */
export const arrangementSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('straight') }),
  /** Each box to the right lies a part of its height higher. */
  z.strictObject({ kind: z.literal('half-drop'), by: exactText(parseStepPart) }),
  /** Each row upward lies a part of a box's width further to the right. */
  z.strictObject({ kind: z.literal('brick'), by: exactText(parseStepPart) }),
  /** Copied by a plane group: mirrored, slid and turned; `up` has its mirrors and rows the other way. */
  z.strictObject({ kind: z.literal('group'), group: z.enum(LAY_GROUPS), way: z.enum(['across', 'up']) }),
  /** By any two ways; their numbers count a motif's steps, threads, or repeats of what has neither. */
  z.strictObject({ kind: z.literal('free'), across: waySchema, up: waySchema }),
]);

export type Arrangement = z.infer<typeof arrangementSchema>;

const length = exactText((text) => parseLength(text, 'mm', SOME_SCALE.pixel));

/** What is laid made larger or smaller; `lines` get wider with it, or keep their width. */
const scaleSchema = z.discriminatedUnion('to', [
  z.strictObject({ to: z.literal('factor'), factor: exactText(parseScale), lines: z.boolean() }),
  /** One repeat is so wide. */
  z.strictObject({ to: z.literal('width'), width: length, lines: z.boolean() }),
  /** So many repeats are so wide together. */
  z.strictObject({
    to: z.literal('count'),
    count: exactText(parseRepeats),
    length,
    lines: z.boolean(),
  }),
]);

export type LayScale = z.infer<typeof scaleSchema>;

/** Most repeats along a side of the diagonal that a slope goes by. */
export const MAX_SLOPE_REPEATS = 1_000;

/** Turned counterclockwise by the diagonal of so many repeats up on so many across. */
export const slopeSchema = z.strictObject({
  up: z.int().min(-MAX_SLOPE_REPEATS).max(MAX_SLOPE_REPEATS),
  across: z.int().min(0).max(MAX_SLOPE_REPEATS),
  /** Degrees, as they were typed. */
  asked: exactText(readDegrees).nullable(),
});

export type LaySlope = z.infer<typeof slopeSchema>;

/**
 * How boxes are set side by side, how large and on which slope the whole lies, how dense threads are, and the unit in which
 * lengths are shown.
 */
export const laySchema = z.strictObject({
  arrangement: arrangementSchema,
  /** How threads meet their mirror images: the last is the pivot and stands once, or beside itself. */
  pivots: z.enum(PIVOTS),
  scale: scaleSchema.nullable(),
  slope: slopeSchema.nullable(),
  ends: exactText(parseDensity),
  picks: exactText(parseDensity),
  per: z.enum(DENSITY_BASES),
  unit: z.enum(LENGTH_UNITS),
});

export type Lay = z.infer<typeof laySchema>;

/** What a design lies in that nothing was said of. */
export const STRAIGHT_LAY = {
  arrangement: { kind: 'straight' },
  pivots: 'shared',
  scale: null,
  slope: null,
} as const satisfies Partial<Lay>;

/** Millimetres of one thread, across and up. */
export function pitchOf({ ends, picks, per }: Pick<Lay, 'ends' | 'picks' | 'per'>): Vector {
  return { x: threadPitch(parseDensity(ends), per), y: threadPitch(parseDensity(picks), per) };
}

/** What a thread and a pixel measure, for bands that are counted in them. */
export function bandScale({
  lay,
  resolution,
}: {
  readonly lay: Lay;
  readonly resolution: string;
}): BandScale {
  return {
    thread: pitchOf(lay).x,
    pixel: pixelOf(resolution),
  };
}

/** Millimetres of a pixel. @throws CoreError as `parseResolution` */
export function pixelOf(resolution: string): Rational {
  return divide(toMillimetres(ONE, 'in'), parseResolution(resolution));
}
