import { mulDivFloor } from '../../exact/mul-div-floor.ts';
import { pack } from '../pack-light.ts';
import type { ActiveEdge } from './active-edge.ts';
import type { EdgeMix } from './edge-mix.ts';

/** Numbers a pixel: levels of three channels. */
const LEVELS = 3;

/**
 * Exact sums of light in some columns of a row, for edges that share them. Levels times a power of 2 below one: exact in
 * doubles, whatever the order.
 */
export class MixedRow {
  /** Levels in the column before the first that was added to, and after `resolve` in the one that follows. */
  red = 0.5;
  green = 0.5;
  blue = 0.5;
  /** The last column that was added to. */
  end = -1;
  readonly #across: number;
  readonly #sums: Float64Array;

  constructor(across: number) {
    this.#across = across;
    this.#sums = new Float64Array((across + 2) * LEVELS);
  }

  /** Begins with a shade. @param light  three levels a shade */
  startAt(light: Float64Array, shade: number): void {
    this.red = light[shade * LEVELS]!;
    this.green = light[shade * LEVELS + 1]!;
    this.blue = light[shade * LEVELS + 2]!;
  }

  /** Whether it has come to a shade. @param light  three levels a shade */
  isAt(light: Float64Array, shade: number): boolean {
    const at = shade * LEVELS;
    return this.red === light[at] && this.green === light[at + 1] && this.blue === light[at + 2];
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
   * One pixel's part of an edge, and what it changes in all pixels to the right.
   * @param inside  twice the mean way from the pixel's left border to the piece, in subpixels
   * @param height  of the piece, in subpixels
   */
  #share(column: number, inside: number, height: number, mix: EdgeMix): void {
    const sums = this.#sums;
    const here = height * (512 - inside);
    const beyond = height * inside;
    const at = column * LEVELS;
    sums[at]! += here * mix.redChange;
    sums[at + 1]! += here * mix.greenChange;
    sums[at + 2]! += here * mix.blueChange;
    sums[at + 3]! += beyond * mix.redChange;
    sums[at + 4]! += beyond * mix.greenChange;
    sums[at + 5]! += beyond * mix.blueChange;
  }

  /**
   * Writes the pixels from one up to the last that was added to, and empties the sums.
   * @returns  the column that follows
   */
  resolve(from: number, out: Int32Array, byteOf: Uint8Array): number {
    const sums = this.#sums;
    let { red, green, blue } = this;
    let x = from;
    for (; x <= this.end; x += 1) {
      red += sums[x * LEVELS]!;
      green += sums[x * LEVELS + 1]!;
      blue += sums[x * LEVELS + 2]!;
      out[x] = pack(red + 0.5, green + 0.5, blue + 0.5, byteOf);
    }
    this.red = red + sums[x * LEVELS]!;
    this.green = green + sums[x * LEVELS + 1]!;
    this.blue = blue + sums[x * LEVELS + 2]!;
    sums.fill(0, from * LEVELS, (x + 1) * LEVELS);
    this.end = -1;
    return x;
  }
}
