import { pack } from '../pack-light.ts';
import { ColumnSums } from './column-sums.ts';
import type { EdgeMix } from './edge-mix.ts';
import type { MixedLight } from './mixed-light.ts';

/** Numbers a pixel: levels of three channels. */
const LEVELS = 3;

/** Light in some columns of a row: levels times a power of 2 below one, exact in doubles. */
export class LightSums extends ColumnSums {
  /** Levels in the column before the first that was added to, and after `resolve` in the one that follows. */
  red = 0.5;
  green = 0.5;
  blue = 0.5;
  readonly #sums: Float64Array;

  constructor(across: number) {
    super(across);
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

  protected override change(column: number, here: number, beyond: number, mix: EdgeMix): void {
    const sums = this.#sums;
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
   * @param kept  where their light is kept too
   * @returns     the column that follows
   */
  resolve(from: number, out: Int32Array, byteOf: Uint8Array, kept: MixedLight | null): number {
    const sums = this.#sums;
    let { red, green, blue } = this;
    let x = from;
    for (; x <= this.end; x += 1) {
      red += sums[x * LEVELS]!;
      green += sums[x * LEVELS + 1]!;
      blue += sums[x * LEVELS + 2]!;
      out[x] = pack(red + 0.5, green + 0.5, blue + 0.5, byteOf);
      kept?.keep(x, red, green, blue);
    }
    this.red = red + sums[x * LEVELS]!;
    this.green = green + sums[x * LEVELS + 1]!;
    this.blue = blue + sums[x * LEVELS + 2]!;
    sums.fill(0, from * LEVELS, (x + 1) * LEVELS);
    this.end = -1;
    return x;
  }
}
