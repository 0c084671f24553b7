import type { MixingTables } from '../colour/mixing.ts';
import { level, seenThrough } from './light-rows.ts';
import { pack } from './pack-light.ts';
import type { MixedLight } from './sweep/mixed-light.ts';

/** A pixel is as beneath all marks, of one shade, or known by its light. */
const BENEATH = 0;
const PLAIN = 1;
const MIXED = 2;

/** Numbers a pixel: levels of three channels. */
const LEVELS = 3;

/** Pixels up to which a run is short: filling by hand is faster than by a call. */
const SHORT = 24;

/**
 * A row of opaque pixels that marks are laid over: what they cover whole is their shade's pixel, and light is mixed at
 * their edges alone, by the same steps as in rows of light.
 */
export class OpaqueLine {
  #pixels: Uint32Array = new Uint32Array(0);
  /** The bytes of the same pixels. */
  #bytes: Uint8Array = new Uint8Array(0);
  readonly #states: Uint8Array;
  readonly #light: Float64Array;
  /** Pixels that were mixed in this row, each once; and the row in which each was mixed last. */
  readonly #mixed: Int32Array;
  #count = 0;
  readonly #rowOf: Int32Array;
  #row = 0;
  readonly #tables: MixingTables;
  readonly #beneath: MixedLight | undefined;

  /** @param beneath  light of those pixels beneath that are mixed; left out, none is */
  constructor(across: number, tables: MixingTables, beneath?: MixedLight) {
    this.#states = new Uint8Array(across);
    this.#light = new Float64Array(across * LEVELS);
    this.#mixed = new Int32Array(across);
    this.#rowOf = new Int32Array(across);
    this.#tables = tables;
    this.#beneath = beneath;
  }

  /** Begins a row with what is beneath. */
  begin(pixels: Uint32Array): void {
    this.#pixels = pixels;
    this.#bytes = new Uint8Array(pixels.buffer, pixels.byteOffset, pixels.byteLength);
    this.#states.fill(BENEATH);
    this.#count = 0;
    this.#row = (this.#row + 1) | 0;
  }

  /** Covers columns whole by a shade's pixel. */
  fill(from: number, to: number, pixel: number): void {
    if (to - from > SHORT) {
      this.#pixels.fill(pixel, from, to);
      this.#states.fill(PLAIN, from, to);
      return;
    }
    for (let x = from; x < to; x += 1) {
      this.#pixels[x] = pixel;
      this.#states[x] = PLAIN;
    }
  }

  /** Covers a share of some columns. @param light  CHANNELS numbers. A hot loop. */
  mix(from: number, to: number, light: Float64Array, share: number): void {
    const line = this.#light;
    const bytes = this.#bytes;
    const { levelOf } = this.#tables;
    const red = light[0]! * share;
    const green = light[1]! * share;
    const blue = light[2]! * share;
    const through = seenThrough(light[3]! * share);
    for (let x = from; x < to; x += 1) {
      const at = x * LEVELS;
      if (this.#states[x] === MIXED || this.#wasMixedBeneath(x)) {
        line[at] = line[at]! * through + red;
        line[at + 1] = line[at + 1]! * through + green;
        line[at + 2] = line[at + 2]! * through + blue;
      } else {
        // Of one shade till now, so its bytes tell its light.
        line[at] = levelOf[bytes[x * 4]!]! * through + red;
        line[at + 1] = levelOf[bytes[x * 4 + 1]!]! * through + green;
        line[at + 2] = levelOf[bytes[x * 4 + 2]!]! * through + blue;
      }
    }
  }

  /** Begins to know a pixel by its light. @returns whether it was mixed beneath the marks already */
  #wasMixedBeneath(x: number): boolean {
    const isBeneath = this.#states[x] === BENEATH;
    this.#states[x] = MIXED;
    if (this.#rowOf[x] !== this.#row) {
      this.#rowOf[x] = this.#row;
      this.#mixed[this.#count] = x;
      this.#count += 1;
    }
    return isBeneath && (this.#beneath?.read(x, this.#light) ?? false);
  }

  /** Turns what is known by its light into pixels. A hot loop. */
  finish(): void {
    const { byteOf } = this.#tables;
    const light = this.#light;
    for (let index = 0; index < this.#count; index += 1) {
      const x = this.#mixed[index]!;
      // It may have been covered since.
      if (this.#states[x] !== MIXED) continue;
      const at = x * LEVELS;
      const red = level(light[at]!);
      const green = level(light[at + 1]!);
      const blue = level(light[at + 2]!);
      this.#pixels[x] = pack(red, green, blue, byteOf);
    }
  }
}
