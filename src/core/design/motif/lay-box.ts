import { CoreError } from '../../error.ts';
import { latticePoint, type PlaneLattice } from '../../exact/lattice.ts';
import { modulo } from '../../exact/modulo.ts';
import { addPoints, type Point, scalePoint } from '../../exact/plane.ts';
import { divide, equals, type Rational, rational, toNumber } from '../../exact/rational.ts';
import {
  divideSurds,
  floorSurd,
  rationalOf,
  type Surd,
  scaleSurd,
  subtractSurds,
  surd,
  surdToNumber,
  ZERO_SURD,
} from '../../exact/surd.ts';
import type { Vector } from '../../exact/vector.ts';
import { type Arranged, latticeOf, stepsOf } from '../../repeat/lay/arranged.ts';
import { sixtyMotions, sixtySteps } from '../../repeat/lay/sixty-groups.ts';
import { standExactly, standMotion } from '../../repeat/lay/stands.ts';
import type { Lattice, TrueSize } from '../../repeat/repeat-unit.ts';
import { type Motion, STILL, shiftBy, thenMotion } from '../../shape/contour.ts';
import type { Place } from '../../shape/places.ts';
import { parseLength } from '../../units/length.ts';
import { arrange } from '../lay/arrange.ts';
import type { Arrangement } from '../lay/lay-schema.ts';
import { fadesOverRepeat, goesOn } from './goes-on.ts';
import { shownPieces } from './made-pieces.ts';
import { PIECE_STILL, type PieceMotion } from './making-motions.ts';
import { type MotifScale, parseSteps, parseWay } from './motif-numbers.ts';
import type { Motif } from './motif-schema.ts';
import { strapPieces } from './straps/strap-pieces.ts';

/** Longest side of a repeat in millimetres. */
const MAX_REPEAT = 100_000;

/** The box of a motif, how boxes lie, and what repeats, exact, in millimetres. */
export interface LaidBox {
  readonly width: Rational;
  readonly height: Rational;
  /** From a box to its neighbours. */
  readonly lattice: PlaneLattice;
  /** What carries the whole onto itself, in repeats: the same, but where copies vary or the whole repeat fades. */
  readonly carries: Lattice;
  readonly repeat: TrueSize;
  /** What carries the box to its copies in one cell of the lattice. */
  readonly copies: readonly PieceMotion[];
  /** What leads from the origin to each cell in the repeat, in vectors of the lattice. */
  readonly steps: readonly (readonly [i: number, j: number])[];
  /** Where each box of the repeat lies, which of those that vary it is, and how its pieces are carried there. */
  readonly places: readonly BoxPlace[];
}

export interface BoxPlace extends Point {
  readonly box: number;
  /** From where the pieces are drawn to where they lie. */
  readonly motion: Motion;
}

/** @throws CoreError of its numbers */
export function scaleOf({ step }: Pick<Motif, 'step'>, pixel: Rational): MotifScale {
  return { step: parseLength(step, 'mm', pixel), pixel };
}

type BoxedMotif = Pick<Motif, 'box' | 'pieces' | 'straps' | 'vary'>;

/** @throws CoreError as `arrange`, `stepsOf`; "lay/square"; "motif/too-large" {width, height, most} */
export function layBox(motif: BoxedMotif, arrangement: Arrangement, scale: MotifScale): LaidBox {
  const width = parseSteps(motif.box.width, scale);
  const height = parseSteps(motif.box.height, scale);
  const arranged = arrange(arrangement, {
    way: (text, axis) => divide(parseWay(text, scale), axis === 'x' ? width : height),
  });
  const lattice = latticeOf(arranged, { width: surd(width), height: surd(height) });
  const boxes = variesIn(motif) ? motif.vary.boxes : 1;
  const [across, up] = cellsTogether(motif, lattice).map((way) => scalePoint(way, surd(boxes))) as [
    Point,
    Point,
  ];
  const { upright: repeat, steps } = stepsOf(lattice, [across, up]);
  checkSize(repeat);
  const copies = copiesOf(arranged, { width, height });
  const places = steps.flatMap(([i, j]) => {
    const at = latticePoint(lattice, [i, j]);
    const box = modulo(i, boxes) * boxes + modulo(j, boxes);
    return copies.map(({ by, stand: { motion } }): BoxPlace => {
      const { x, y } = addPoints(at, by);
      const place = { x: wrapped(x, repeat.width), y: wrapped(y, repeat.height) };
      const shift = shiftBy(surdToNumber(place.x), surdToNumber(place.y));
      return { ...place, box, motion: motion === STILL ? shift : thenMotion(motion, shift) };
    });
  });
  const whole: Lattice = [
    { x: rational(1), y: rational(0) },
    { x: rational(0), y: rational(1) },
  ];
  const parts = ({ x, y }: Point): Vector => ({
    x: rationalOf(divideSurds(x, repeat.width))!,
    y: rationalOf(divideSurds(y, repeat.height))!,
  });
  const carries = fadesOverAll(motif) ? whole : ([parts(across), parts(up)] as const);
  const carried = copies.map(({ by, stand }): PieceMotion => {
    const { motion, exact } = stand;
    return {
      motion: thenMotion(motion, shiftBy(surdToNumber(by.x), surdToNumber(by.y))),
      exact: exact && { ...exact, by: addPoints(exact.by, by) },
    };
  });
  return { width, height, lattice, carries, repeat, copies: carried, steps, places };
}

/** The lattice of as many boxes as the order of straps takes. */
function cellsTogether(motif: BoxedMotif, lattice: PlaneLattice): PlaneLattice {
  const { across, shift, up } = motif.straps.cells;
  if (strapPieces(motif).length === 0 || across * up === 1) return lattice;
  return [latticePoint(lattice, [across, 0]), latticePoint(lattice, [shift, up])];
}

/** Millimetres of a repeat, in doubles. */
export function nearRepeat({ repeat }: Pick<LaidBox, 'repeat'>): Place {
  return { x: surdToNumber(repeat.width), y: surdToNumber(repeat.height) };
}

/** Whether any copy is lighter or darker than others; a line that goes on has none. */
export function variesIn(motif: Pick<Motif, 'pieces'>): boolean {
  return shownPieces(motif).some(({ vary, shape }) => vary !== null && !goesOn(shape));
}

/** Whether anything fades over the whole repeat. */
function fadesOverAll(motif: Pick<Motif, 'pieces'>): boolean {
  return shownPieces(motif).some(({ fade, shape }) => fade !== null && fadesOverRepeat(fade, shape));
}

/** @throws CoreError "motif/too-large" {width, height, most} */
function checkSize({ width, height }: TrueSize): void {
  const [wide, high] = [width, height].map(surdToNumber) as [number, number];
  if (wide <= MAX_REPEAT && high <= MAX_REPEAT) return;
  throw new CoreError('motif/too-large', {
    width: String(Math.round(wide)),
    height: String(Math.round(high)),
    most: MAX_REPEAT / 1000,
  });
}

/** Moved by whole sizes into the first. */
function wrapped(value: Surd, size: Surd): Surd {
  const whole = floorSurd(divideSurds(value, size));
  return whole === 0n ? value : subtractSurds(value, scaleSurd(size, rational(whole)));
}

/** A copy of what is drawn, that comes again with each step of the lattice. */
interface BoxCopy {
  readonly by: Point;
  readonly stand: PieceMotion;
}

/** @throws CoreError "lay/square" */
function copiesOf(
  arranged: Arranged,
  { width, height }: { readonly width: Rational; readonly height: Rational },
): readonly BoxCopy[] {
  if (arranged.kind === 'sixty') {
    const by = { x: ZERO_SURD, y: ZERO_SURD };
    return sixtySteps(arranged.group).map(({ turn, mirrored }, at) => ({
      by,
      stand: { motion: sixtyMotions(arranged.group)[at]!, exact: { turn, mirrored, by } },
    }));
  }
  if (arranged.square && !equals(width, height)) throw new CoreError('lay/square', {});
  const size = { x: toNumber(width), y: toNumber(height) };
  return arranged.copies.map(({ right, up, stand }) => ({
    by: { x: scaleSurd(surd(width), rational(right)), y: scaleSurd(surd(height), rational(up)) },
    stand:
      stand === 'same'
        ? PIECE_STILL
        : { motion: standMotion(stand, size), exact: standExactly(stand, surd(width), surd(height)) },
  }));
}
