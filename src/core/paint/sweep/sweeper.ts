import { pack } from '../pack-light.ts';
import { PER_WHOLE } from '../row-sums.ts';
import type { ActiveEdge } from './active-edge.ts';
import type { ActiveEdges } from './active-edges.ts';
import type { EdgeMix } from './edge-mix.ts';
import { LightSums } from './light-sums.ts';
import type { MixedLight } from './mixed-light.ts';
import { NO_SHADE, type SweepShades } from './sweep-shades.ts';

/** Where the left border's light of the row before cannot be told. */
const UNKNOWN = -2;

/**
 * Paints rows of opaque faces from left to right: between edges there is one shade, and an edge that stands alone in its
 * columns mixes two. Wherever several share a column, or one does not go through the whole row, the exact sums say what
 * is seen. The line keeps what the row before had, so that only what has moved is written.
 */
export class Sweeper {
  /** The row that was painted last. */
  readonly pixels: Uint32Array;
  /** The same memory; signed numbers stay machine words. */
  readonly #pixels: Int32Array;
  readonly #across: number;
  readonly #edges: ActiveEdges;
  readonly shades: SweepShades;
  readonly #leftOf: (row: number) => Float64Array;
  readonly #byteOf: Uint8Array;
  readonly #sums: LightSums;
  /** Light of the pixels that several shades share; null where nobody asks. */
  readonly #kept: MixedLight | null;
  #row = UNKNOWN;
  #borderShade = UNKNOWN;
  // Where the sweep stands: its column, the shade there or NO_SHADE, that pixel, and the edge left of it.
  #x = 0;
  #shade = NO_SHADE;
  #pixel = 0;
  #behind: ActiveEdge;

  /**
   * @param leftOf  light left of the window's border in each row, times WHOLE
   * @param kept    where the light of mixed pixels is kept for what is laid over them
   */
  constructor(
    edges: ActiveEdges,
    shades: SweepShades,
    leftOf: (row: number) => Float64Array,
    { across, byteOf }: { readonly across: number; readonly byteOf: Uint8Array },
    kept?: MixedLight,
  ) {
    this.#kept = kept ?? null;
    this.#edges = edges;
    this.shades = shades;
    this.#leftOf = leftOf;
    this.#byteOf = byteOf;
    this.#across = across;
    this.#pixels = new Int32Array(across);
    this.pixels = new Uint32Array(this.#pixels.buffer);
    this.#sums = new LightSums(across);
    this.#behind = edges.head;
  }

  /** @param row  of the repeat */
  paint(row: number): void {
    if (row === this.#row) return;
    this.#row = row;
    const edges = this.#edges;
    edges.goTo(row);
    const isBorderKept = this.#begin(row);
    if (isBorderKept && edges.still) return;
    this.#kept?.begin();
    if (edges.wrapping > 0) this.#enterWrapped(row);
    while (this.#sweep(row)) {
      if (this.#shade !== NO_SHADE) this.#sums.startAt(this.shades.light, this.#shade);
      this.#mixGroup(row);
    }
  }

  /** Goes to the left border. @returns whether one shade lies there, as in the row before */
  #begin(row: number): boolean {
    const sums = this.#sums;
    const start = this.#leftOf(row);
    const red = start[0]! * PER_WHOLE;
    const green = start[1]! * PER_WHOLE;
    const blue = start[2]! * PER_WHOLE;
    sums.red = red;
    sums.green = green;
    sums.blue = blue;
    const shade = this.shades.shadeOf(red, green, blue);
    const isKept = shade !== NO_SHADE && shade === this.#borderShade;
    if (!isKept) this.#edges.head.keptTo = 0;
    this.#borderShade = shade;
    this.#shade = shade;
    this.#pixel = pack(red + 0.5, green + 0.5, blue + 0.5, this.#byteOf);
    this.#x = 0;
    this.#behind = this.#edges.head;
    return isKept;
  }

  /** What reaches past the repeat's right border comes in at its left one. */
  #enterWrapped(row: number): void {
    this.#sums.addWrapped(this.#edges, row);
    // The border's shade is not what lies right of them, so the next row can keep nothing of it.
    this.#borderShade = UNKNOWN;
    this.#edges.head.keptTo = 0;
    this.#mixGroup(row);
  }

  /** Mixes what shares columns, and goes on behind it. */
  #mixGroup(row: number): void {
    const sums = this.#sums;
    const last = sums.addGroup(this.#behind, this.#edges, row, this.#x);
    this.#x = sums.resolve(this.#x, this.#pixels, this.#byteOf, this.#kept);
    // Where it is one shade again, that is mostly the last edge's.
    const shade = last.mix.ahead;
    this.#shade = sums.isAt(this.shades.light, shade)
      ? shade
      : this.shades.shadeOf(sums.red, sums.green, sums.blue);
    this.#pixel = pack(sums.red + 0.5, sums.green + 0.5, sums.blue + 0.5, this.#byteOf);
    this.#behind = last;
  }

  /**
   * Goes to the right as long as edges stand alone. A hot loop, and longer than others for it; it knows a pixel as 256
   * subpixels, eight bits.
   * @returns whether there is more of the row
   */
  #sweep(row: number): boolean {
    const rowTop = (row << 8) | 0;
    const rowBottom = (rowTop + 256) | 0;
    const across = this.#across | 0;
    const out = this.#pixels;
    const byteOf = this.#byteOf;
    const kept = this.#kept;
    let shade = this.#shade | 0;
    let pixel = this.#pixel | 0;
    let x = this.#x | 0;
    let behind = this.#behind;
    for (;;) {
      const edge = behind.next;
      const left = edge.left;
      const first = Math.min(left >> 8, across);
      if (x < first) {
        if (shade >= 0) {
          const keptFrom = behind.keptFrom;
          const keptTo = behind.keptTo;
          behind.keptFrom = x;
          behind.keptTo = first;
          if (keptFrom < first && keptTo > x) {
            for (; x < keptFrom; x = (x + 1) | 0) out[x] = pixel;
            x = keptTo;
          }
        } else kept?.keepRun(x, first, this.#sums);
        for (; x < first; x = (x + 1) | 0) out[x] = pixel;
        x = first;
      } else behind.keptTo = 0;
      if (x >= across) return false;
      const last = edge.last;
      const mix = edge.mix;
      if (edge.next.left >> 8 <= last || shade !== mix.back) {
        this.#x = x;
        this.#shade = shade;
        this.#pixel = pixel;
        this.#behind = behind;
        return true;
      }
      const right = edge.right;
      behind = edge;
      shade = mix.ahead | 0;
      pixel = mix.pixel | 0;
      if (first === last) {
        const k = (((512 + (first << 9)) | 0) - left - right) << 8;
        out[x] = mixed(mix, k, byteOf);
        if (kept !== null) keepMixed(kept, x, mix, k);
        x = (x + 1) | 0;
        continue;
      }
      const { dx, dy, top, start } = edge;
      if (((last - first) | 0) === 1) {
        // Two columns, as most edges have: one division tells the height at which it goes over.
        const border = last << 8;
        let y = (top + (((((border - start) | 0) * dy) / dx) | 0)) | 0;
        y = y > rowBottom ? rowBottom : Math.max(y, rowTop);
        const height = dx >= 0 ? (y - rowTop) | 0 : (rowBottom - y) | 0;
        const one = Math.imul(height, ((512 + (first << 9)) | 0) - left - border);
        const other = ((height << 9) + Math.imul((256 - height) | 0, 512 + border - right)) | 0;
        out[x] = mixed(mix, one, byteOf);
        out[x + 1] = mixed(mix, other, byteOf);
        if (kept !== null) {
          keepMixed(kept, x, mix, one);
          keepMixed(kept, x + 1, mix, other);
        }
        x = (x + 2) | 0;
        continue;
      }
      let from = left;
      let y = dx >= 0 ? rowTop : rowBottom;
      const lastY = dx >= 0 ? rowBottom : rowTop;
      // Subpixels, twice, that lie right of the edge in a column, when it has passed all of it.
      let passed = 0;
      for (; x <= last; x = (x + 1) | 0) {
        const border = ((x + 1) | 0) << 8;
        const to = Math.min(border, right);
        let nextY = to === right ? lastY : (top + (((((to - start) | 0) * dy) / dx) | 0)) | 0;
        nextY = nextY > rowBottom ? rowBottom : Math.max(nextY, rowTop);
        const height = nextY > y ? (nextY - y) | 0 : (y - nextY) | 0;
        const here = Math.imul(height, ((512 + (x << 9)) | 0) - from - to);
        const k = (passed + here) | 0;
        out[x] = mixed(mix, k, byteOf);
        if (kept !== null) keepMixed(kept, x, mix, k);
        passed = (passed + (height << 9)) | 0;
        from = to;
        y = nextY;
      }
    }
  }
}

/** A pixel of which k / WHOLE lies right of an edge. */
function mixed(mix: EdgeMix, k: number, byteOf: Uint8Array): number {
  const red = mix.red + k * mix.redChange;
  const green = mix.green + k * mix.greenChange;
  const blue = mix.blue + k * mix.blueChange;
  return pack(red, green, blue, byteOf);
}

function keepMixed(kept: MixedLight, x: number, mix: EdgeMix, k: number): void {
  // The halves are there for rounding.
  const red = mix.red - 0.5 + k * mix.redChange;
  const green = mix.green - 0.5 + k * mix.greenChange;
  const blue = mix.blue - 0.5 + k * mix.blueChange;
  kept.keep(x, red, green, blue);
}
