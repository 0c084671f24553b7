import { mulDivFloor } from '../../exact/mul-div-floor.ts';
import type { ActiveEdge } from './active-edge.ts';
import type { ActiveEdges } from './active-edges.ts';
import type { EdgeMix } from './edge-mix.ts';

/** What edges change in some columns of a row, for those that share them: exact sums, whatever the order. */
export abstract class ColumnSums {
  /** The last column that was added to; -1 for none. */
  end = -1;
  readonly #across: number;

  constructor(across: number) {
    this.#across = across;
  }

  /** Adds the copies, at the left border, of what reaches past the repeat's right one. */
  addWrapped({ head, tail, width }: ActiveEdges, row: number): void {
    for (let edge = head.next; edge !== tail; edge = edge.next) {
      for (let shift = width; edge.right >= shift; shift += width) this.add(edge, row, shift);
    }
  }

  /**
   * Adds the edges behind one, from a column on, that share columns with what is in the sums already; if nothing is, the
   * next edge and those that share columns with it.
   * @returns  the last of them
   */
  addGroup(behind: ActiveEdge, { tail }: ActiveEdges, row: number, from: number): ActiveEdge {
    let last = behind;
    for (let edge = behind.next; edge !== tail; edge = edge.next) {
      if (edge.left >> 8 >= this.#across) break;
      if (this.end >= from && edge.left >> 8 > this.end) break;
      this.add(edge, row, 0);
      // The line holds no shade on its right.
      edge.keptTo = 0;
      last = edge;
    }
    return last;
  }

  /** Adds what the piece of an edge in a row changes. @param shift  how far left of itself the copy stands, in subpixels */
  add(edge: ActiveEdge, row: number, shift: number): void {
    const { mix, dx, dy, top } = edge;
    const left = edge.left - shift;
    const right = edge.right - shift;
    const start = edge.start - shift;
    const upper = Math.max(top, row << 8);
    const lower = Math.min(edge.bottom, (row + 1) << 8);
    const first = left > 0 ? left >> 8 : 0;
    if (left >= 0 && right <= (first + 1) << 8) {
      this.#share(first, left + right - first * 512, lower - upper, mix);
      this.end = Math.max(this.end, first);
      return;
    }
    const last = Math.min(this.#across - 1, Math.max(first, ((right + 255) >> 8) - 1));
    const heightAt = (way: number) => Math.min(lower, Math.max(upper, top + mulDivFloor(way, dy, dx)));
    let x = Math.max(left, 0);
    let y = x === left ? (dx >= 0 ? upper : lower) : heightAt(x - start);
    for (let column = first; column <= last && right >= x; column += 1) {
      const nextX = Math.min(right, (column + 1) << 8);
      const nextY = nextX === right ? (dx >= 0 ? lower : upper) : heightAt(nextX - start);
      this.#share(column, x + nextX - column * 512, Math.abs(nextY - y), mix);
      x = nextX;
      y = nextY;
    }
    this.end = Math.max(this.end, last);
  }

  /**
   * @param inside  twice the mean way from the pixel's left border to the piece, in subpixels
   * @param height  of the piece, in subpixels
   */
  #share(column: number, inside: number, height: number, mix: EdgeMix): void {
    this.change(column, height * (512 - inside), height * inside, mix);
  }

  /** One pixel's part of an edge, and the rest, which it changes in all pixels to the right: / WHOLE. */
  protected abstract change(column: number, here: number, beyond: number, mix: EdgeMix): void;
}
