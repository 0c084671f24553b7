/** Bits of a deflate stream: each byte is filled from its lowest bit. Source: RFC 1951, §3.1.1. */
export class BitWriter {
  readonly #bytes: number[] = [];
  #byte = 0;
  #filled = 0;

  /** A number, its lowest bit first. @param count  bits, at most 16 */
  number(value: number, count: number): void {
    for (let bit = 0; bit < count; bit += 1) this.#bit((value >>> bit) & 1);
  }

  /** A Huffman code, its highest bit first. */
  code(value: number, count: number): void {
    for (let bit = count - 1; bit >= 0; bit -= 1) this.#bit((value >>> bit) & 1);
  }

  /** Zeros up to a whole byte, then bytes as they are. */
  aligned(bytes: readonly number[]): void {
    while (this.#filled > 0) this.#bit(0);
    this.#bytes.push(...bytes);
  }

  bytes(): Uint8Array {
    this.aligned([]);
    return Uint8Array.from(this.#bytes);
  }

  #bit(bit: number): void {
    this.#byte |= bit << this.#filled;
    this.#filled += 1;
    if (this.#filled < 8) return;
    this.#bytes.push(this.#byte);
    this.#byte = 0;
    this.#filled = 0;
  }
}
