import type { z } from 'zod';
import type { Shade } from '../colour/shade.ts';
import type { Rational } from '../exact/rational.ts';
import type { Slope } from '../exact/slope.ts';
import type { RepeatUnit, TrueSize } from '../repeat/repeat-unit.ts';
import type { Pictures } from '../shape/picture.ts';
import type { Sequence } from '../thread/sequence.ts';
import type { BandUnit } from '../units/band-width.ts';
import type { ByKind } from './constructions.ts';
import type { DesignOf, PlaidDesign } from './design-schema.ts';
import type { Loss } from './exchange/losses.ts';
import type { Lay } from './lay/lay-schema.ts';
import type { PaintPicture } from './picture-schema.ts';
import type { StrapReport } from './strap/strap-report.ts';

/** What a construction may know of its design: never the design itself. */
export interface Context {
  readonly shades: readonly Shade[];
  readonly lay: Lay;
  /** Pixels per inch, as typed. */
  readonly resolution: string;
}

/** Where a construction names a shade, from the construction down. */
export type ShadePath = readonly (string | number)[];

/** What kind of cloth a design is, for the shelf: its construction, or a weave of one shade each way. */
export type Kind = keyof ByKind | 'weave';

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
  /** Lets both directions share one sequence, or parts them; left out where there is only one. */
  readonly withShared?: (construction: C, shared: boolean) => C;
  /** Threads by which a rail's sequence begins later. */
  readonly turnOf: (construction: C, direction: Direction) => number;
  readonly sequenceOf: (construction: C, direction: Direction, context: Context) => Sequence;
  /** The construction with another sequence. A shared one changes for both. */
  readonly withSequence: (construction: C, direction: Direction, sequence: Sequence, context: Context) => C;
  /** Whether a band may be printed at a strength of its own. */
  readonly hasStrengths?: (construction: C) => boolean;
  /** Left out where bands are counted in threads. */
  readonly measured?: MeasuredBands<C>;
}

/** Bands that are as wide as a length says; the counts of their sequence are steps of one length. */
export interface MeasuredBands<C> {
  /** What widths without a unit of their own are in. */
  readonly unitOf: (construction: C) => BandUnit;
  /** One step, in that unit. */
  readonly stepOf: (construction: C, context: Context) => Rational;
  /** The way that the bands run along. */
  readonly slopeOf: (construction: C) => Slope;
  /** A band's width, as typed. */
  readonly widthOf: (construction: C, band: number) => string;
  readonly withWidth: (construction: C, band: number, width: string) => C;
  /** The construction with all its bands anew, none of them clear. */
  readonly withBands: (construction: C, bands: readonly MeasuredBand[]) => C;
}

export interface MeasuredBand {
  readonly shade: string;
  readonly width: string;
}

/** Something to begin a design from. */
export interface StartPoint<D> {
  /** What the command line calls it. */
  readonly key: string;
  readonly name: string;
  /** What makes it what it is, in one line. */
  readonly what: string;
  /** The same seed always gives the same; most make no use of it. */
  readonly design: (seed: number) => D;
}

/** How one direction's repeat comes about. */
export interface DirectionFacts {
  /** Threads of the sequence as laid out. */
  readonly laidOut: number;
  /** Threads after which its shades come round. */
  readonly period: number;
  /** Threads of the weave; 1 when it is printed. */
  readonly weave: number;
  /** Threads of the repeat: the least common multiple of both. */
  readonly repeat: number;
}

/** Why a repeat of threads is as long as it is, and the longest float, if there are floats. */
export interface ThreadFacts {
  readonly warp: DirectionFacts;
  readonly weft: DirectionFacts;
  readonly float: number | undefined;
}

/** What is drawn once, in millimetres, and in the numbers that ways to other boxes are typed in. */
export interface BuiltBox extends TrueSize {
  readonly counted: {
    readonly by: 'steps' | 'threads' | 'repeats';
    readonly across: string;
    readonly up: string;
  };
}

/** Everything that the core has to know of a construction. Another one is another folder with one of these. */
export interface ConstructionKind<C> {
  /** Of the stored numbers. */
  readonly schema: z.ZodType<C>;
  /** @param pictures  those that can be painted @throws CoreError of the construction */
  readonly compile: (construction: C, context: Context, pictures: Pictures) => RepeatUnit;
  /** The box that it sets side by side itself, since what it draws reaches out of it; left out where a repeat is the box. */
  readonly boxOf?: (construction: C, context: Context) => BuiltBox;
  /** How much of a unit, before it is laid, does not follow from the numbers, found without looking at how it was compiled; 0 when it repeats. */
  readonly misses: (construction: C, context: Context, unit: RepeatUnit) => number;
  /** The construction with a shade in the place of each that it names, those that rest included; every place is visited once. */
  readonly mapShades: (construction: C, to: (key: string, path: ShadePath) => string) => C;
  /** The pictures that it shows; left out where it cannot. */
  readonly picturesOf?: (construction: C) => readonly PaintPicture[];
  readonly kindOf: (construction: C) => Kind;
  /** What the density of threads gives: the size of the whole repeat, of widths that are typed in threads, of nothing. */
  readonly density: 'repeat' | 'widths' | 'nothing';
  /** What may be asked of its drawing: that faces run under their neighbours, that what blends is flattened; else nothing. */
  readonly drawing: 'underlap' | 'flatten' | 'plain';
  /** Whether some of the cloth is left clear. */
  readonly isClear: (construction: C) => boolean;
  /** What to begin from, the plainest first. */
  readonly starts: () => readonly StartPoint<DesignOf<C>>[];
  /** What it can be written as, as it is now. */
  readonly filesOf: (construction: C) => Readonly<Partial<Record<TextFile, (design: DesignOf<C>) => string>>>;
  /** What a file may not hold of it, beside what every design has. */
  readonly partsOf?: (construction: C) => Readonly<Partial<Record<Loss, unknown>>>;
  /** How its straps lie over each other, where it has some; left out where it can have none. @throws CoreError of the construction */
  readonly strapsOf?: (design: DesignOf<C>) => StrapReport | null;
  /** What the check tells of it besides, as JSON. */
  readonly reportOf?: (design: DesignOf<C>) => Readonly<Record<string, unknown>>;
  /** Left out where it is not made of bands. */
  readonly banded?: Banded<C>;
  /** How its threads come round; left out where it has none. @throws CoreError of `compile` */
  readonly threadsOf?: (design: DesignOf<C>) => ThreadFacts;
  /** The cloth that is woven thread by thread, where it is. */
  readonly wovenOf?: (design: DesignOf<C>) => PlaidDesign | undefined;
}
