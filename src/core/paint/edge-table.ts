import { mulDivFloor } from '../exact/mul-div-floor.ts';
import type { Edges, Walked } from './partition-edges.ts';

/** An edge's place in the table, where there is none. */
const NONE = -1;

/** A side that a face walks, and what lies on the other side of it, is not known yet. */
const MISSING = -1;

/**
 * Joins the sides of faces to edges: two faces that walk the same way in opposite directions share one. Sides are looked
 * up by four whole numbers in an open-addressed table.
 */
export class EdgeTable {
  readonly #width: number;
  readonly #height: number;
  /** Indexes of edges, or NONE; a power of two of them, at least two for a side. */
  readonly #slots: Int32Array;
  readonly #x: Float64Array;
  readonly #y: Float64Array;
  readonly #dx: Float64Array;
  readonly #dy: Float64Array;
  readonly #ahead: Int32Array;
  readonly #back: Int32Array;
  readonly #held: Int32Array;
  #count = 0;
  /** Edges of which one side is missing. */
  #lonely = 0;

  /**
   * @param size    of one repeat, in subpixels
   * @param sides   at most so many will be added
   * @param shades  how many there are, that of what lies beyond the faces included
   */
  constructor(size: { readonly width: number; readonly height: number }, sides: number, shades: number) {
    this.#width = size.width;
    this.#height = size.height;
    this.#slots = new Int32Array(2 ** Math.ceil(Math.log2(2 * sides + 2))).fill(NONE);
    this.#x = new Float64Array(sides);
    this.#y = new Float64Array(sides);
    this.#dx = new Float64Array(sides);
    this.#dy = new Float64Array(sides);
    this.#ahead = new Int32Array(sides).fill(MISSING);
    this.#back = new Int32Array(sides).fill(MISSING);
    this.#held = new Int32Array(shades);
  }

  /** Adds the side that a face of a shade walks from one place to another, in the window's subpixels, not wrapped. */
  add(fromX: number, fromY: number, toX: number, toY: number, shade: number): void {
    if (fromX === toX && fromY === toY) return;
    // An edge is walked downward, or to the right when it is level.
    const forward = toY > fromY || (toY === fromY && toX > fromX);
    const x = forward ? fromX : toX;
    const y = forward ? fromY : toY;
    const dx = forward ? toX - fromX : fromX - toX;
    const dy = forward ? toY - fromY : fromY - toY;
    if (dx !== 0) this.#holdCorner({ x, y, dx, dy }, forward === dx > 0 ? 1 : -1, shade);
    const wrappedX = x - Math.floor(x / this.#width) * this.#width;
    const wrappedY = y - Math.floor(y / this.#height) * this.#height;
    const edge = this.#find(wrappedX, wrappedY, dx, dy, forward ? this.#ahead : this.#back);
    if (forward) this.#ahead[edge] = shade;
    else this.#back[edge] = shade;
  }

  /**
   * A face holds the place just left of and above the window's corner once for each time that its border, followed down
   * the line through it, has been entered and not left.
   * @param above  1 where the face lies above its side, -1 where below
   */
  #holdCorner(
    { x, y, dx, dy }: { x: number; y: number; dx: number; dy: number },
    above: number,
    shade: number,
  ): void {
    for (const line of linesCrossed(x, dx, this.#width)) {
      this.#held[shade]! += above * Math.floor((y + mulDivFloor(line - x, dy, dx)) / this.#height);
    }
  }

  /**
   * The edge with these numbers of which a side is missing, or a new one. Where rounding laid edges upon each other, the
   * second pair makes an edge of its own.
   */
  #find(x: number, y: number, dx: number, dy: number, side: Int32Array): number {
    const slots = this.#slots;
    const last = slots.length - 1;
    for (let slot = hash(x, y, dx, dy) & last; ; slot = (slot + 1) & last) {
      const edge = slots[slot]!;
      if (edge === NONE) {
        slots[slot] = this.#count;
        return this.#begin(x, y, dx, dy);
      }
      const isSame =
        side[edge] === MISSING &&
        this.#x[edge] === x &&
        this.#y[edge] === y &&
        this.#dx[edge] === dx &&
        this.#dy[edge] === dy;
      if (isSame) {
        this.#lonely -= 1;
        return edge;
      }
    }
  }

  #begin(x: number, y: number, dx: number, dy: number): number {
    const edge = this.#count;
    this.#x[edge] = x;
    this.#y[edge] = y;
    this.#dx[edge] = dx;
    this.#dy[edge] = dy;
    this.#count += 1;
    this.#lonely += 1;
    return edge;
  }

  /** Edges of faces that cover everything once. @throws Error where they do not */
  closed(): Walked {
    if (this.#lonely > 0) {
      throw new Error(`expected two faces at every edge, got ${this.#lonely} edges with one`);
    }
    const faces = this.#held.reduce((sum, times) => sum + times, 0);
    if (faces !== 1) throw new Error(`expected one face at the window's corner, got ${faces}`);
    return { edges: this.#edges(), held: this.#held };
  }

  /** Edges of faces that need not meet. @param beyond  shade of what lies where none is */
  open(beyond: number): Walked {
    for (let edge = 0; edge < this.#count; edge += 1) {
      if (this.#ahead[edge] === MISSING) this.#ahead[edge] = beyond;
      if (this.#back[edge] === MISSING) this.#back[edge] = beyond;
    }
    this.#held[beyond]! += 1 - this.#held.reduce((sum, times) => sum + times, 0);
    return { edges: this.#edges(), held: this.#held };
  }

  #edges(): Edges {
    const count = this.#count;
    return {
      width: this.#width,
      height: this.#height,
      count,
      x: this.#x.subarray(0, count),
      y: this.#y.subarray(0, count),
      dx: this.#dx.subarray(0, count),
      dy: this.#dy.subarray(0, count),
      ahead: this.#ahead.subarray(0, count),
      back: this.#back.subarray(0, count),
    };
  }
}

/** Multiples of the repeat's width that an edge from x over dx reaches past, a start on one not counted. */
export function linesCrossed(x: number, dx: number, width: number): readonly number[] {
  const from = dx > 0 ? x : x + dx;
  const to = dx > 0 ? x + dx : x;
  const lines: number[] = [];
  for (let line = (Math.floor(from / width) + 1) * width; line <= to; line += width) lines.push(line);
  return lines;
}

/** Scatters four whole numbers. The odd factors are from memory: those of xxHash (32 bits) and of the golden ratio. */
function hash(x: number, y: number, dx: number, dy: number): number {
  const mixed =
    Math.imul(x, 0x9e3779b1) ^
    Math.imul(y, 0x85ebca6b) ^
    Math.imul(dx, 0xc2b2ae35) ^
    Math.imul(dy, 0x27d4eb2f);
  return mixed ^ (mixed >>> 15);
}
