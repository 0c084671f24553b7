import type { ActiveEdge } from './active-edge.ts';
import type { ActiveEdges } from './active-edges.ts';
import { CoverRuns } from './cover-runs.ts';
import { CoverSums } from './cover-sums.ts';

/** What an outline covers, row by row: a sweep over its edges as that over those of faces. */
export class CoverSweeper {
  /** The row that was asked for last. */
  readonly runs: CoverRuns;
  readonly #across: number;
  readonly #edges: ActiveEdges;
  readonly #leftOf: (row: number) => number;
  readonly #sums: CoverSums;
  #border = Number.NaN;
  #row = -1;
  #x = 0;
  #behind: ActiveEdge;

  /** @param leftOf  what is covered left of the window's border in each row, / WHOLE */
  constructor(edges: ActiveEdges, leftOf: (row: number) => number, across: number) {
    this.#edges = edges;
    this.#leftOf = leftOf;
    this.#across = across;
    this.#sums = new CoverSums(across);
    this.runs = new CoverRuns(across);
    this.#behind = edges.head;
  }

  /** @param row  of the repeat */
  goTo(row: number): void {
    if (row === this.#row) return;
    this.#row = row;
    const edges = this.#edges;
    edges.goTo(row);
    const border = this.#leftOf(row);
    const isKept = border === this.#border && edges.wrapping === 0;
    this.#border = edges.wrapping === 0 ? border : Number.NaN;
    if (isKept && edges.still) return;
    this.runs.count = 0;
    this.#sums.cover = border;
    this.#x = 0;
    this.#behind = edges.head;
    if (edges.wrapping > 0) {
      this.#sums.addWrapped(edges, row);
      this.#addGroup(row);
    }
    while (this.#sweep(row)) this.#addGroup(row);
  }

  /** Adds what shares columns, and goes on behind it. */
  #addGroup(row: number): void {
    this.#behind = this.#sums.addGroup(this.#behind, this.#edges, row, this.#x);
    this.#x = this.#sums.resolve(this.#x, this.runs);
  }

  /** Goes to the right as long as edges stand alone. @returns whether there is more of the row */
  #sweep(row: number): boolean {
    const across = this.#across | 0;
    const runs = this.runs;
    const rowTop = (row << 8) | 0;
    const rowBottom = (rowTop + 256) | 0;
    let cover = this.#sums.cover | 0;
    let x = this.#x | 0;
    let behind = this.#behind;
    for (;;) {
      const edge = behind.next;
      const left = edge.left;
      const first = Math.min(left >> 8, across);
      if (x < first) {
        runs.add(first, cover);
        x = first;
      }
      if (x >= across) return false;
      const last = edge.last;
      if (edge.next.left >> 8 <= last) {
        this.#x = x;
        this.#sums.cover = cover;
        this.#behind = behind;
        return true;
      }
      behind = edge;
      const right = edge.right;
      const sign = edge.mix.back - edge.mix.ahead;
      if (first === last) {
        runs.add(x + 1, cover + sign * ((((512 + (first << 9)) | 0) - left - right) << 8));
        x = (x + 1) | 0;
      } else x = this.#along(edge, cover, { rowTop, rowBottom });
      cover = (cover + (sign << 17)) | 0;
    }
  }

  /** An edge over several columns. @returns the column that follows */
  #along(
    { left, right, last, dx, dy, top, start, mix }: ActiveEdge,
    cover: number,
    { rowTop, rowBottom }: { readonly rowTop: number; readonly rowBottom: number },
  ): number {
    const sign = mix.back - mix.ahead;
    const lastY = dx >= 0 ? rowBottom : rowTop;
    let from = left;
    let y = dx >= 0 ? rowTop : rowBottom;
    let passed = 0;
    let x = left >> 8;
    for (; x <= last; x += 1) {
      const to = Math.min((x + 1) << 8, right);
      const way = to === right ? lastY : (top + ((((to - start) * dy) / dx) | 0)) | 0;
      const nextY = Math.min(rowBottom, Math.max(rowTop, way));
      const height = Math.abs(nextY - y);
      this.runs.add(x + 1, cover + sign * (passed + height * (512 + (x << 9) - from - to)));
      passed += height << 9;
      from = to;
      y = nextY;
    }
    return x;
  }
}
