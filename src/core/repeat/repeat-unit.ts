import type { PlyBlend } from '../colour/ply-blend.ts';
import type { Proof } from '../colour/proof.ts';
import type { Point } from '../exact/plane.ts';
import { isWhole, type Rational, rational } from '../exact/rational.ts';
import { nearFraction, root, type Surd, scaleSurd } from '../exact/surd.ts';
import type { Rectangle, Vector } from '../exact/vector.ts';
import type { Partition } from '../faces/partition.ts';
import type { Mark } from '../shape/shape.ts';
import type { Cells } from '../thread/cells.ts';

/** Two exact vectors that carry a pattern onto itself. */
export type Lattice = readonly [Vector, Vector];

/** Shapes in painting order over polygons that cover everything. */
export interface Marks {
  readonly kind: 'marks';
  readonly base: Partition;
  /** Their shades are those of the base. */
  readonly marks: readonly Mark[];
  /** Which rows of figures lie over which; left out, each mark lies over those before it, wherever it comes again. */
  readonly rows?: RowOrder;
}

/** Rows of figures, a higher one over a lower: by how many rows what lies a repeat further up, or to the right, is higher. */
export interface RowOrder {
  readonly up: number;
  readonly right: number;
}

/** One of several units that lie over each other. */
export interface Ply {
  /** As large and turned as it lies; it has a repeat. */
  readonly unit: RepeatUnit;
  /** How often its repeat goes into the common one. */
  readonly times: { readonly across: number; readonly down: number };
  /** Millimetres by which it lies further to the right and up. */
  readonly shift: Point;
  readonly blend: PlyBlend;
  /** 0 … 1. */
  readonly strength: Rational;
  /** The ply within whose painted parts alone it is seen, by its number. */
  readonly clip: number | null;
  readonly shown: boolean;
}

/** Units over each other, the lowest first. */
export interface Plies {
  readonly kind: 'plies';
  readonly plies: readonly Ply[];
  /** How their pixels are seen once they are blended; left out, as they are. */
  readonly seen?: Proof;
}

/** What a unit shows. */
export type Content = Cells | Partition | Marks | Plies;

/** What a repeat is counted in: threads, or nothing but its length. */
export type Grid = ThreadGrid | LengthGrid;

/** What is counted in no threads, or no longer: turned threads are faces. */
export interface LengthGrid {
  readonly step: 'mm';
  /** Steps of the lay that would have cut the threads that these faces were. */
  readonly cuts?: readonly GridCut[];
}

/** A step of a lay that is no whole number of threads. */
export interface GridCut {
  readonly of: 'ends' | 'picks';
  readonly step: Rational;
}

export interface ThreadGrid {
  readonly step: 'thread';
  readonly ends: number;
  readonly picks: number;
  /** Threads that are laid out, with whole repeats of the weave, where these hold the repeat more than once. */
  readonly laidOut?: { readonly ends: number; readonly picks: number };
}

/** A size in millimetres, exact though it may be irrational. */
export interface TrueSize {
  readonly width: Surd;
  readonly height: Surd;
}

/**
 * A pattern, exact and endless. Lattice and repeat are measured in threads where the grid has them, else in
 * repeats; `pitch` says how large one of these is.
 */
export interface RepeatUnit<C extends Content = Content> {
  readonly lattice: Lattice;
  /** Smallest upright rectangle that repeats; null when the lattice has none. */
  readonly repeat: Rectangle | null;
  /** Millimetres of one step, across and up. */
  readonly pitch: { readonly x: Surd; readonly y: Surd };
  readonly grid: Grid;
  readonly content: C;
}

/** True size of one repeat, or null when there is none. */
export function repeatSize(unit: RepeatUnit): TrueSize | null {
  if (unit.repeat === null) return null;
  return {
    width: scaleSurd(unit.pitch.x, unit.repeat.width),
    height: scaleSurd(unit.pitch.y, unit.repeat.height),
  };
}

/** A true size in fractions, for counting pixels: exact where it is rational. */
export function nearSize({ width, height }: TrueSize): Rectangle {
  return { width: nearFraction(width), height: nearFraction(height) };
}

/** Cloth laid straight: the repeat is the grid of cells itself. @param laidOut  where that holds it more than once */
export function straightUnit(
  content: Cells,
  pitch: Vector,
  laidOut?: ThreadGrid['laidOut'],
): RepeatUnit<Cells> {
  const zero = rational(0);
  const repeat = { width: rational(content.width), height: rational(content.height) };
  const lattice: Lattice = [
    { x: repeat.width, y: zero },
    { x: zero, y: repeat.height },
  ];
  const grid: Grid = {
    step: 'thread',
    ends: content.width,
    picks: content.height,
    ...(laidOut && { laidOut }),
  };
  return { lattice, repeat, pitch: { x: root(pitch.x), y: root(pitch.y) }, grid, content };
}

/** Steps of a unit's lay that would cut threads. */
export function gridCuts({ grid, lattice }: Pick<RepeatUnit, 'grid' | 'lattice'>): readonly GridCut[] {
  if (grid.step === 'mm') return grid.cuts ?? [];
  return (['ends', 'picks'] as const).flatMap((of): readonly GridCut[] => {
    const step = lattice.map(({ x, y }) => (of === 'ends' ? x : y)).find((each) => !isWhole(each));
    return step === undefined ? [] : [{ of, step }];
  });
}

/** The grid of a unit whose threads became faces. */
export function gridOfFaces(unit: Pick<RepeatUnit, 'grid' | 'lattice'>): LengthGrid {
  const cuts = gridCuts(unit);
  return { step: 'mm', ...(cuts.length > 0 && { cuts }) };
}
