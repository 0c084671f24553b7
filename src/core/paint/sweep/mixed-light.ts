/** The light of those pixels of the row swept last that several shades share. */
export class MixedLight {
  /** Three levels a pixel, those of other pixels of no meaning. */
  readonly #light: Float64Array;
  /** In which sweep each pixel was mixed last. */
  readonly #sweepOf: Int32Array;
  #sweep = 0;

  constructor(across: number) {
    this.#light = new Float64Array(across * 3);
    this.#sweepOf = new Int32Array(across).fill(-1);
  }

  /** Begins another sweep: no pixel is mixed. */
  begin(): void {
    this.#sweep = (this.#sweep + 1) | 0;
  }

  keep(x: number, red: number, green: number, blue: number): void {
    const at = x * 3;
    this.#light[at] = red;
    this.#light[at + 1] = green;
    this.#light[at + 2] = blue;
    this.#sweepOf[x] = this.#sweep;
  }

  keepRun(
    from: number,
    to: number,
    { red, green, blue }: { readonly red: number; readonly green: number; readonly blue: number },
  ): void {
    for (let x = from; x < to; x += 1) this.keep(x, red, green, blue);
  }

  /** Puts the light of a pixel into its place among others, three levels each. @returns whether it is mixed */
  read(x: number, into: Float64Array): boolean {
    if (this.#sweepOf[x] !== this.#sweep) return false;
    into[x * 3] = this.#light[x * 3]!;
    into[x * 3 + 1] = this.#light[x * 3 + 1]!;
    into[x * 3 + 2] = this.#light[x * 3 + 2]!;
    return true;
  }
}
