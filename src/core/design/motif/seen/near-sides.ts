import type { Place } from '../../../shape/places.ts';
import type { Across } from './thinnest.ts';

/** A side of an outline. */
export interface Side {
  readonly from: Place;
  readonly to: Place;
  readonly dx: number;
  readonly dy: number;
  readonly length: number;
  /** The sides before and after it, round the outline. */
  before: Side;
  after: Side;
}

/** Sides in squares as wide as they may lie apart, so that few are compared. */
export class NearSides {
  readonly #squares = new Map<number, number[]>();
  readonly #sides: readonly Side[];
  readonly #reach: number;

  constructor(sides: readonly Side[], reach: number) {
    this.#sides = sides;
    this.#reach = reach;
    for (const [index, side] of sides.entries()) {
      for (const square of this.#squaresOf(side.from, side.to)) {
        const held = this.#squares.get(square);
        if (held === undefined) this.#squares.set(square, [index]);
        else held.push(index);
      }
    }
  }

  /** Hears of each two sides that may lie so near to each other, perhaps more than once. */
  eachPair(hear: (one: Side, other: Side) => void): void {
    for (const [square, held] of this.#squares) {
      for (const next of [0, 1, ROW - 1, ROW, ROW + 1]) {
        const others = this.#squares.get(square + next);
        if (others === undefined) continue;
        for (const one of held) {
          for (const other of others) {
            if (next === 0 ? one < other : one !== other) hear(this.#sides[one]!, this.#sides[other]!);
          }
        }
      }
    }
  }

  /** Whether any third side lies across a way. */
  isCrossed({ from, to }: Across, one: Side, other: Side): boolean {
    for (const square of this.#squaresOf(from, to)) {
      for (const index of this.#squares.get(square) ?? []) {
        const side = this.#sides[index]!;
        if (side !== one && side !== other && crosses(side, from, to)) return true;
      }
    }
    return false;
  }

  /** The squares that a line goes through, found by steps of half a square, each with its neighbours left out. */
  #squaresOf(from: Place, to: Place): ReadonlySet<number> {
    const steps = Math.max(1, Math.ceil((2 * Math.hypot(to.x - from.x, to.y - from.y)) / this.#reach));
    const found = new Set<number>();
    for (let step = 0; step <= steps; step += 1) {
      const x = from.x + ((to.x - from.x) * step) / steps;
      const y = from.y + ((to.y - from.y) * step) / steps;
      found.add(Math.floor(x / this.#reach) + ROW * Math.floor(y / this.#reach));
    }
    return found;
  }
}

/** More squares than a row has. */
const ROW = 2 ** 20;

/** Whether a side has ends on both sides of a way, and the way on both sides of it. */
function crosses({ from: start, to: end }: Side, from: Place, to: Place): boolean {
  const side = (a: Place, b: Place, c: Place) => (b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x);
  return side(from, to, start) * side(from, to, end) < 0 && side(start, end, from) * side(start, end, to) < 0;
}
