import { lineLength, type PngImage } from './png-image.ts';

/** Filters of a row. Source: W3C Portable Network Graphics, third edition, §9.2. */
const NONE = 0;
const UP = 2;

/**
 * The rows of a picture up to its periods, each behind its filter byte. A row that is equal to the one above is
 * undefined: it is written as "Up" of zeros, which costs next to nothing.
 */
export function* periodLines(image: PngImage): Iterable<Uint8Array | undefined> {
  let before: Uint8Array | undefined;
  for (const row of image.rows()) {
    if (row === before) {
      yield undefined;
      continue;
    }
    const line = new Uint8Array(1 + row.length);
    line[0] = NONE;
    line.set(row, 1);
    before = row;
    yield line;
  }
}

/** The same rows as wide as the picture. */
export function* fullLines(image: PngImage): Iterable<Uint8Array> {
  const length = lineLength(image);
  const repeated = equalLine(length);
  for (const line of periodLines(image)) yield line === undefined ? repeated : along(line, length);
}

/** A row that is equal to the one above. */
export function equalLine(length: number): Uint8Array {
  const line = new Uint8Array(length);
  line[0] = UP;
  return line;
}

/** A row's filter byte, and what stands behind it again and again up to that length. */
export function along(line: Uint8Array, length: number): Uint8Array {
  const whole = new Uint8Array(length);
  whole.set(line.subarray(0, length));
  const period = line.length - 1;
  for (let filled = line.length; filled < length; ) {
    // Copies are of whole periods, so that their phase stays.
    const copied = Math.min(filled - 1 - ((filled - 1) % period), length - filled);
    whole.copyWithin(filled, 1, 1 + copied);
    filled += copied;
  }
  return whole;
}
