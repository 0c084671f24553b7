import { CoreError } from '../../error.ts';
import { type PlaneLattice, pointsIn, type Upright, uprightRepeat } from '../../exact/lattice.ts';
import type { Point } from '../../exact/plane.ts';
import { equals, multiply, rational, subtract } from '../../exact/rational.ts';
import { multiplySurds, root, type Surd, scaleSurd, surd, ZERO_SURD } from '../../exact/surd.ts';
import type { Vector } from '../../exact/vector.ts';
import { type BlockCopy, type BoxGroup, groupBlock } from './group-blocks.ts';
import type { SixtyGroup } from './sixty-groups.ts';

/** Upright boxes by two ways, which are counted in boxes; at each of their steps come all copies. */
export interface BoxLay {
  readonly kind: 'boxes';
  readonly ways: readonly [Vector, Vector];
  readonly copies: readonly BlockCopy[];
  /** Whether copies are turned by quarters or mirrored in a diagonal: the box has to be a square. */
  readonly square: boolean;
  /** Which edges of all boxes are mirrors. */
  readonly mirrors: { readonly upright: boolean; readonly level: boolean };
}

/** Third and sixth turns about the corners of a lattice of 60°, whose steps are as long as a box is wide. */
export interface SixtyLay {
  readonly kind: 'sixty';
  readonly group: SixtyGroup;
}

/** How boxes lie. */
export type Arranged = BoxLay | SixtyLay;

const ZERO = rational(0);
const ONE = rational(1);
const NO_MIRRORS = { upright: false, level: false } as const;

/** Boxes as they are drawn, by two ways. @throws CoreError "lay/parallel" */
export function byWays(across: Vector, up: Vector): BoxLay {
  if (equals(multiply(across.x, up.y), multiply(across.y, up.x))) throw new CoreError('lay/parallel', {});
  const copies = [{ right: 0, up: 0, stand: 'same' }] as const;
  return { kind: 'boxes', ways: [across, up], copies, square: false, mirrors: NO_MIRRORS };
}

export const STRAIGHT: BoxLay = byWays({ x: ONE, y: ZERO }, { x: ZERO, y: ONE });

/** Boxes copied by a plane group; `up` has its mirrors and rows the other way. */
export function byGroup(group: BoxGroup, way: 'across' | 'up'): BoxLay {
  const block = groupBlock(group, way);
  const vector = ([right, up]: readonly [number, number]): Vector => ({
    x: rational(right),
    y: rational(up),
  });
  const { copies, square, mirrors } = block;
  return { kind: 'boxes', ways: [vector(block.ways[0]), vector(block.ways[1])], copies, square, mirrors };
}

/** Whether boxes lie side by side as they are drawn. */
export function isStraight(arranged: Arranged): boolean {
  if (arranged.kind === 'sixty' || arranged.copies.length > 1) return false;
  const [{ x: a, y: b }, { x: c, y: d }] = arranged.ways;
  return equals(a, ONE) && equals(b, ZERO) && equals(c, ZERO) && equals(d, ONE);
}

/** From a box to its neighbours. @param size  of a box, in any unit */
export function latticeOf(
  arranged: Arranged,
  size: { readonly width: Surd; readonly height: Surd },
): PlaneLattice {
  if (arranged.kind === 'sixty') {
    const half = scaleSurd(size.width, rational(1, 2));
    return [
      { x: size.width, y: ZERO_SURD },
      { x: half, y: multiplySurds(half, root(ONE, 3)) },
    ];
  }
  const [across, up] = arranged.ways.map(
    ({ x, y }): Point => ({ x: scaleSurd(size.width, x), y: scaleSurd(size.height, y) }),
  );
  return [across!, up!];
}

/** Most boxes of one repeat. */
export const MAX_BOXES = 10_000;

/** The smallest upright rectangle that repeats, and the steps of a lattice in it, the origin first. */
export interface Steps {
  readonly upright: Upright;
  readonly steps: readonly (readonly [i: number, j: number])[];
}

/**
 * @param lattice  of boxes
 * @param carries  what of it carries the whole onto itself
 * @throws CoreError "lay/no-repeat"; "lay/boxes" {most}
 */
export function stepsOf(lattice: PlaneLattice, carries = lattice): Steps {
  const upright = uprightRepeat(carries);
  if (upright === undefined) throw new CoreError('lay/no-repeat', {});
  const whole: PlaneLattice = [
    { x: upright.width, y: ZERO_SURD },
    { x: ZERO_SURD, y: upright.height },
  ];
  const steps = pointsIn(lattice, whole, MAX_BOXES);
  if (steps === undefined) throw new CoreError('lay/boxes', { most: MAX_BOXES });
  return { upright, steps };
}

/**
 * Whether boxes cover the plane and none lies over another. Rectangles that a lattice sets side by side so lie in rows or
 * in columns.
 */
export function coversOnce({ ways, copies }: BoxLay): boolean {
  const [{ x: a, y: b }, { x: c, y: d }] = ways;
  const area = subtract(multiply(a, d), multiply(b, c));
  // Half of a box beside a diagonal counts for half.
  const places = new Set(copies.map(({ right, up }) => `${right} ${up}`)).size;
  if (area.d !== 1n || (area.n !== BigInt(places) && area.n !== BigInt(-places))) return false;
  if (copies.length > 1) return true;
  const isStep = (x: typeof a, y: typeof a) => {
    const i = subtract(multiply(x, d), multiply(y, c));
    const j = subtract(multiply(y, a), multiply(x, b));
    return i.d === 1n && j.d === 1n;
  };
  return isStep(ONE, ZERO) || isStep(ZERO, ONE);
}

/** A surd of a fraction, for what is counted in boxes. */
export function inBoxes({ x, y }: Vector): Point {
  return { x: surd(x), y: surd(y) };
}
