import { CoreError } from '../../error.ts';
import { type PlaneLattice, pointsIn, uprightRepeat } from '../../exact/lattice.ts';
import { modulo } from '../../exact/modulo.ts';
import type { Point } from '../../exact/plane.ts';
import {
  add,
  divide,
  equals,
  multiply,
  type Rational,
  rational,
  toDecimal,
  toNumber,
} from '../../exact/rational.ts';
import { rationalOf, surd } from '../../exact/surd.ts';
import type { Vector } from '../../exact/vector.ts';
import { type Motion, shiftBy, thenMotion } from '../../shape/contour.ts';
import { parseLength } from '../../units/length.ts';
import { fadesOverRepeat, goesOn } from './goes-on.ts';
import { type BlockCopy, type BoxStand, groupBlock, standMotion } from './group-blocks.ts';
import { shownPieces } from './made-pieces.ts';
import { type MotifScale, parseStepPart, parseSteps, parseWay } from './motif-numbers.ts';
import type { Motif, MotifLay } from './motif-schema.ts';

/** Longest side of a repeat in millimetres. */
const MAX_REPEAT = 100_000;

/** Most boxes of one repeat. */
const MAX_BOXES = 10_000;

/** The box of a motif, how boxes lie, and what repeats, exact, in millimetres. */
export interface LaidBox {
  readonly width: Rational;
  readonly height: Rational;
  /** From a box to its neighbours. */
  readonly lattice: readonly [Vector, Vector];
  /** What carries the whole onto itself: the same, but where copies vary or the whole repeat fades. */
  readonly carries: readonly [Vector, Vector];
  readonly repeat: { readonly width: Rational; readonly height: Rational };
  /** The lower left of each box of the repeat, which of those that vary it is, and how its pieces stand. */
  readonly places: readonly BoxPlace[];
}

export interface BoxPlace extends Vector {
  readonly box: number;
  readonly stand: BoxStand;
}

/** How a place carries what lies in the box. */
export function placeMotion(
  { x, y, stand }: BoxPlace,
  { width, height }: Pick<LaidBox, 'width' | 'height'>,
): Motion {
  const shift = shiftBy(toNumber(x), toNumber(y));
  if (stand === 'same') return shift;
  return thenMotion(standMotion(stand, { x: toNumber(width), y: toNumber(height) }), shift);
}

/** @throws CoreError of its numbers */
export function scaleOf({ step }: Pick<Motif, 'step'>, pixel: Rational): MotifScale {
  return { step: parseLength(step, 'mm', pixel), pixel };
}

/** @throws CoreError "motif/lay" | "motif/square" | "motif/too-large" {width, height, most} */
export function layBox(motif: BoxedMotif, scale: MotifScale): LaidBox {
  const width = parseSteps(motif.box.width, scale);
  const height = parseSteps(motif.box.height, scale);
  const lattice = latticeOf(motif.lay, width, height, scale);
  const [across, up] = lattice;
  if (equals(multiply(across.x, up.y), multiply(across.y, up.x))) throw new CoreError('motif/lay', {});
  const boxes = variesIn(motif) ? motif.vary.boxes : 1;
  const wide = lattice.map((way) => scaleVector(way, rational(boxes)));
  const plane = wide.map(pointOf) as unknown as PlaneLattice;
  const upright = uprightRepeat(plane);
  if (upright === undefined) throw new CoreError('motif/lay', {});
  const repeat = { width: rationalOf(upright.width)!, height: rationalOf(upright.height)! };
  checkSize(repeat);
  const whole: readonly [Vector, Vector] = [
    { x: repeat.width, y: rational(0) },
    { x: rational(0), y: repeat.height },
  ];
  const copies = copiesOf(motif.lay, width, height);
  const places = placesIn(lattice, whole, boxes).flatMap(({ x, y, box }) =>
    copies.map((copy) => ({
      x: wrapped(add(x, multiply(width, rational(copy.right))), repeat.width),
      y: wrapped(add(y, multiply(height, rational(copy.up))), repeat.height),
      box,
      stand: copy.stand,
    })),
  );
  const carries = fadesOverAll(motif) ? whole : (wide as unknown as LaidBox['lattice']);
  return { width, height, lattice, carries, repeat, places };
}

type BoxedMotif = Pick<Motif, 'box' | 'lay' | 'pieces' | 'vary'>;

/** Whether any copy is lighter or darker than others; a line that goes on has none. */
export function variesIn(motif: Pick<Motif, 'pieces'>): boolean {
  return shownPieces(motif).some(({ vary, shape }) => vary !== null && !goesOn(shape));
}

/** Whether anything fades over the whole repeat. */
function fadesOverAll(motif: Pick<Motif, 'pieces'>): boolean {
  return shownPieces(motif).some(({ fade, shape }) => fade !== null && fadesOverRepeat(fade, shape));
}

/** @throws CoreError "motif/too-large" {width, height, most} */
function checkSize({ width, height }: LaidBox['repeat']): void {
  if (toNumber(width) <= MAX_REPEAT && toNumber(height) <= MAX_REPEAT) return;
  throw new CoreError('motif/too-large', {
    width: toDecimal(width, 0),
    height: toDecimal(height, 0),
    most: MAX_REPEAT / 1000,
  });
}

/** The boxes of a repeat, each with its place among so many each way that differ. @throws CoreError "motif/lay" */
function placesIn(
  lattice: LaidBox['lattice'],
  whole: LaidBox['lattice'],
  boxes: number,
): readonly (Vector & { readonly box: number })[] {
  const plane = lattice.map(pointOf) as unknown as PlaneLattice;
  const steps = pointsIn(plane, whole.map(pointOf) as unknown as PlaneLattice, MAX_BOXES);
  if (steps === undefined) throw new CoreError('motif/lay', {});
  return steps.map(([i, j]) => {
    const across = scaleVector(lattice[0], rational(i));
    const up = scaleVector(lattice[1], rational(j));
    return {
      x: add(across.x, up.x),
      y: add(across.y, up.y),
      box: modulo(i, boxes) * boxes + modulo(j, boxes),
    };
  });
}

function pointOf({ x, y }: Vector): Point {
  return { x: surd(x), y: surd(y) };
}

function scaleVector({ x, y }: Vector, by: Rational): Vector {
  return { x: multiply(x, by), y: multiply(y, by) };
}

/** Moved by whole sizes into the first. */
function wrapped(value: Rational, size: Rational): Rational {
  const { n, d } = divide(value, size);
  return multiply(rational(((n % d) + d) % d, d), size);
}

function latticeOf(
  lay: MotifLay,
  width: Rational,
  height: Rational,
  scale: MotifScale,
): readonly [Vector, Vector] {
  const zero = rational(0);
  switch (lay.kind) {
    case 'straight':
      return [
        { x: width, y: zero },
        { x: zero, y: height },
      ];
    case 'half-drop':
      return [
        { x: width, y: multiply(height, parseStepPart(lay.by)) },
        { x: zero, y: height },
      ];
    case 'brick':
      return [
        { x: width, y: zero },
        { x: multiply(width, parseStepPart(lay.by)), y: height },
      ];
    case 'free':
      return [wayOf(lay.across, scale), wayOf(lay.up, scale)];
    case 'group': {
      const inBoxes = ([right, up]: readonly [number, number]) => ({
        x: multiply(width, rational(right)),
        y: multiply(height, rational(up)),
      });
      const [one, other] = groupBlock(lay.group, lay.way).ways;
      return [inBoxes(one), inBoxes(other)];
    }
    default:
      return lay satisfies never;
  }
}

/** The copies of the box that come again together. @throws CoreError "motif/square" */
function copiesOf(lay: MotifLay, width: Rational, height: Rational): readonly BlockCopy[] {
  if (lay.kind !== 'group') return [{ right: 0, up: 0, stand: 'same' }];
  const { copies, square } = groupBlock(lay.group, lay.way);
  if (square && !equals(width, height)) throw new CoreError('motif/square', {});
  return copies;
}

function wayOf({ x, y }: { readonly x: string; readonly y: string }, scale: MotifScale): Vector {
  return { x: parseWay(x, scale), y: parseWay(y, scale) };
}
