import { CoreError } from '../error.ts';

/** Red, green and blue in sRGB, 0–255. */
export type Rgb = readonly [red: number, green: number, blue: number];

/** Six lower-case digits behind a hash. */
export const HEX = /^#[0-9a-f]{6}$/;

/**
 * "#20304a", "20304A" or "#234" → "#20304a".
 * @throws CoreError "colour/hex" {text}
 */
export function normaliseHex(text: string): string {
  const digits = text.trim().replace(/^#/, '').toLowerCase();
  if (/^[0-9a-f]{6}$/.test(digits)) return `#${digits}`;
  if (/^[0-9a-f]{3}$/.test(digits)) return `#${digits.replace(/./g, '$&$&')}`;
  throw new CoreError('colour/hex', { text });
}

/** @param hex  as `normaliseHex` returns it */
export function rgbOf(hex: string): Rgb {
  const value = Number.parseInt(hex.slice(1), 16);
  return [value >> 16, (value >> 8) & 255, value & 255];
}

export function hexOf([red, green, blue]: Rgb): string {
  return `#${((red << 16) | (green << 8) | blue).toString(16).padStart(6, '0')}`;
}
