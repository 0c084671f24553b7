/** A row by runs of columns in which equally much of every pixel is covered. */
export class CoverRuns {
  count = 0;
  /** Column after each run's last. */
  readonly ends: Int32Array;
  /** How much is covered, / WHOLE. */
  readonly covers: Int32Array;

  constructor(across: number) {
    this.ends = new Int32Array(across);
    this.covers = new Int32Array(across);
  }

  add(end: number, cover: number): void {
    this.ends[this.count] = end;
    this.covers[this.count] = cover;
    this.count += 1;
  }
}
