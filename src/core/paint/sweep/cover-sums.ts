import { ColumnSums } from './column-sums.ts';
import type { CoverRuns } from './cover-runs.ts';
import type { EdgeMix } from './edge-mix.ts';

/** What is covered in some columns of a row, / WHOLE. */
export class CoverSums extends ColumnSums {
  /** In the column before the first that was added to, and after `resolve` in the one that follows. */
  cover = 0;
  readonly #sums: Int32Array;

  constructor(across: number) {
    super(across);
    this.#sums = new Int32Array(across + 2);
  }

  protected override change(column: number, here: number, beyond: number, mix: EdgeMix): void {
    const sign = mix.back - mix.ahead;
    this.#sums[column]! += sign * here;
    this.#sums[column + 1]! += sign * beyond;
  }

  /**
   * Adds a run for each column from one up to the last that was added to, and empties the sums.
   * @returns  the column that follows
   */
  resolve(from: number, runs: CoverRuns): number {
    const sums = this.#sums;
    let { cover } = this;
    let x = from;
    for (; x <= this.end; x += 1) {
      cover += sums[x]!;
      runs.add(x + 1, cover);
    }
    this.cover = cover + sums[x]!;
    sums.fill(0, from, x + 1);
    this.end = -1;
    return x;
  }
}
