import type { z } from 'zod';
import type { Shade } from '../colour/shade.ts';
import type { NumberProof } from '../repeat/close-numbers.ts';
import type { RepeatUnit } from '../repeat/repeat-unit.ts';
import type { Sequence } from '../thread/sequence.ts';
import type { DesignOf } from './design-schema.ts';
import type { Lay } from './lay.ts';

/** What a construction may know of its design: never the design itself. */
export interface Context {
  readonly shades: readonly Shade[];
  readonly lay: Lay;
  /** Pixels per inch, as typed. */
  readonly resolution: string;
}

/** Where a construction names a shade, from the construction down. */
export type ShadePath = readonly (string | number)[];

/** What kind of cloth a design is, for the shelf. */
export type Kind = 'stripe' | 'plaid' | 'weave' | 'tiling';

/** Files of text that a design may be written as, by the names that the server has for them. */
export const TEXT_FILES = [
  'counts.txt',
  'counts.csv',
  'draft.wif',
  'draft.svg',
  'paper.svg',
  'faces.csv',
  'faces.json',
] as const;
export type TextFile = (typeof TEXT_FILES)[number];

/** The way that bands run along: an upper rail shows those of the warp, a left one those of the weft. */
export type Direction = 'warp' | 'weft';

/** A construction as sequences of bands, one for each rail. */
export interface Banded<C> {
  /** The edges of the cloth that have a rail. */
  readonly railsOf: (construction: C) => readonly Direction[];
  /** Whether both directions show one sequence. */
  readonly isShared: (construction: C) => boolean;
  /** Threads by which a rail's sequence begins later. */
  readonly turnOf: (construction: C, direction: Direction) => number;
  readonly sequenceOf: (construction: C, direction: Direction, context: Context) => Sequence;
  /** The construction with another sequence, the same object when nothing is new. A shared one changes for both. */
  readonly withSequence: (construction: C, direction: Direction, sequence: Sequence, context: Context) => C;
}

/** Everything that the core has to know of a construction. Another one is another folder with one of these. */
export interface ConstructionKind<C> {
  /** Of the stored numbers. */
  readonly schema: z.ZodType<C>;
  /** @throws CoreError of the construction */
  readonly compile: (construction: C, context: Context) => RepeatUnit;
  /** What the unit's own proof says, and what does not follow from the numbers, found without looking at how it was compiled. */
  readonly prove: (construction: C, context: Context, unit: RepeatUnit, proof: NumberProof) => NumberProof;
  /** The construction with a shade in the place of each that it names, those that rest included; every place is visited once. */
  readonly mapShades: (construction: C, to: (key: string, path: ShadePath) => string) => C;
  readonly kindOf: (construction: C) => Kind;
  /** What its repeats are counted in. */
  readonly step: 'thread' | 'mm';
  /** What it can be written as, as it is now. */
  readonly filesOf: (construction: C) => Readonly<Partial<Record<TextFile, (design: DesignOf<C>) => string>>>;
  /** Left out where it is not made of bands. */
  readonly banded?: Banded<C>;
}
