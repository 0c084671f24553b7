/**
 * One named colour of a design.
 * `key` is the letters that stand for it in thread counts, unique within its card; `hex` is "#rrggbb".
 */
export interface Shade {
  readonly key: string;
  readonly name: string;
  readonly hex: string;
}

/** A key: one to three capital letters. */
export const SHADE_KEY = /^[A-Z]{1,3}$/;

/** The first of A, B, … Z, AA, AB, … that is not taken. */
export function freeKey(taken: ReadonlySet<string>): string {
  for (let number = 1; ; number += 1) {
    const key = keyOf(number);
    if (!taken.has(key)) return key;
  }
}

function keyOf(number: number): string {
  const last = String.fromCharCode(65 + ((number - 1) % 26));
  return number <= 26 ? last : keyOf(Math.floor((number - 1) / 26)) + last;
}

/** Most shades of one design. */
export const MAX_SHADES = 200;
