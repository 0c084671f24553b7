import { mulDivFloor } from '../../exact/mul-div-floor.ts';
import { ActiveEdge, lastUpTo, link, NO_COLUMN, unlink } from './active-edge.ts';
import type { StartingEdges } from './edges-by-start.ts';

/**
 * The edges that go through one row of the repeat, from left to right. Each comes a row further by adding quotient and
 * rest, exactly and without a division.
 */
export class ActiveEdges {
  /** Not edges: what stands before the first and after the last, at the window's right border. */
  readonly head = new ActiveEdge();
  readonly tail = new ActiveEdge();
  /** Edges that reach past the repeat's right border, to come in at its left one. */
  wrapping = 0;
  /** Whether all pieces stand as they did in the row before, and go through all of it. */
  still = false;
  /** One repeat, in subpixels. */
  readonly width: number;
  readonly #starting: StartingEdges;
  /** Right border of the window, in subpixels. */
  readonly #right: number;
  #row = -2;
  /** Edges that have ended, to be used again, linked by `next`; the last to itself. */
  #free: ActiveEdge | null = null;

  /** @param across  columns of the window, at most those of the repeat */
  constructor(starting: StartingEdges, across: number) {
    this.width = starting.width;
    this.#starting = starting;
    this.#right = across << 8;
    this.head.left = -NO_COLUMN;
    this.tail.left = across << 8;
    this.head.next = this.tail;
    this.tail.before = this.head;
  }

  /** Goes to a row of the repeat. */
  goTo(row: number): void {
    if (row === this.#row + 1) this.#advance(row);
    else this.#seek(row);
    this.#row = row;
  }

  /** Takes up all edges that reach into a row. */
  #seek(row: number): void {
    for (let edge = this.head.next; edge !== this.tail; ) {
      const { next } = edge;
      this.#release(edge);
      edge = next;
    }
    this.head.next = this.tail;
    this.tail.before = this.head;
    this.head.keptTo = 0;
    this.wrapping = 0;
    this.still = false;
    const { numbers, mixes, height } = this.#starting;
    const rowTop = row << 8;
    let near = this.head;
    for (let at = 0; at < mixes.length; at += 1) {
      const dy = numbers[at * 4 + 3]!;
      for (let top = numbers[at * 4 + 1]!; top + dy > rowTop; top -= height) {
        if (top < rowTop + 256) near = this.#begin(at, top, row, near);
      }
    }
  }

  /** Each edge comes a row further; what has ended goes, what begins comes. A hot loop, and longer than others for it. */
  #advance(row: number): void {
    const rowTop = (row << 8) | 0;
    const rowBottom = (rowTop + 256) | 0;
    const width = this.#starting.width | 0;
    const windowRight = this.#right | 0;
    const tail = this.tail;
    let wrapping = 0;
    // Anything but 0 says that something moved.
    let moved = 0;
    let last = this.head;
    for (let edge = last.next; edge !== tail; ) {
      const { x, bottom, next } = edge;
      let to = 0;
      if (bottom > rowBottom) {
        const { dy } = edge;
        to = (x + edge.step) | 0;
        let rest = (edge.rest + edge.stepRest) | 0;
        if (rest >= dy) {
          rest = (rest - dy) | 0;
          to = (to + 1) | 0;
        }
        edge.rest = rest;
      } else if (bottom > rowTop) to = (edge.start + edge.dx) | 0;
      else {
        unlink(edge);
        this.#release(edge);
        moved = 1;
        edge = next;
        continue;
      }
      let left = Math.min(x, to);
      let right = Math.max(x, to);
      if (left < 0 || left >= width) {
        const shift = (Math.floor(left / width) * width) | 0;
        left = (left - shift) | 0;
        right = (right - shift) | 0;
        to = (to - shift) | 0;
        edge.start = (edge.start - shift) | 0;
      }
      if (right >= width) wrapping = (wrapping + 1) | 0;
      const first = left >> 8;
      const end = ((((right + 255) | 0) >> 8) - 1) | 0;
      const isWhole = bottom >= rowBottom && right <= windowRight;
      const until = isWhole ? Math.max(end, first) : NO_COLUMN;
      if (isWhole) moved |= (left ^ edge.left) | (right ^ edge.right) | (until ^ edge.last);
      else {
        moved = 1;
        edge.keptTo = 0;
      }
      edge.x = to;
      edge.left = left;
      edge.right = right;
      edge.last = until;
      if (left < last.left) {
        unlink(edge);
        link(edge, lastUpTo(left, last.before, last));
      } else last = edge;
      edge = next;
    }
    this.wrapping = wrapping;
    const { firstIn, numbers } = this.#starting;
    const from = firstIn[row]!;
    const end = firstIn[row + 1]!;
    this.still = moved === 0 && from === end;
    // They come from left to right, so each is near the one before.
    let near = this.head;
    for (let at = from; at < end; at += 1) near = this.#begin(at, numbers[at * 4 + 1]!, row, near);
  }

  /** Takes up an edge that begins at `top` and reaches into a row, as it stands there. @param near  an edge near its place */
  #begin(at: number, top: number, row: number, near: ActiveEdge): ActiveEdge {
    const { numbers, mixes, width } = this.#starting;
    const rowTop = row << 8;
    const rowBottom = rowTop + 256;
    const start = numbers[at * 4]!;
    const dx = numbers[at * 4 + 2]!;
    const dy = numbers[at * 4 + 3]!;
    const from = top >= rowTop ? start : start + mulDivFloor(rowTop - top, dx, dy);
    const down = Math.min(dy, rowBottom - top);
    const way = mulDivFloor(down, dx, dy);
    const to = start + way;
    const step = mulDivFloor(256, dx, dy);
    const left = Math.min(from, to);
    const shift = Math.floor(left / width) * width;
    const edge = this.#unused();
    edge.mix = mixes[at]!;
    edge.x = (to - shift) | 0;
    edge.rest = (down * dx - way * dy) | 0;
    edge.step = step | 0;
    edge.stepRest = (256 * dx - step * dy) | 0;
    edge.dx = dx | 0;
    edge.dy = dy | 0;
    edge.start = (start - shift) | 0;
    edge.top = top | 0;
    edge.bottom = (top + dy) | 0;
    edge.keptTo = 0;
    edge.left = (left - shift) | 0;
    edge.right = (Math.max(from, to) - shift) | 0;
    const isWhole = top <= rowTop && top + dy >= rowBottom && edge.right <= this.#right;
    edge.last = isWhole ? Math.max(edge.left >> 8, ((edge.right + 255) >> 8) - 1) : NO_COLUMN;
    if (edge.right >= width) this.wrapping += 1;
    link(edge, lastUpTo(edge.left, near, this.tail));
    return edge;
  }

  #unused(): ActiveEdge {
    const edge = this.#free;
    if (edge === null) return new ActiveEdge();
    this.#free = edge.next === edge ? null : edge.next;
    return edge;
  }

  #release(edge: ActiveEdge): void {
    edge.next = this.#free ?? edge;
    this.#free = edge;
  }
}
