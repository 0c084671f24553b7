/** Decimal places of lengths in millimetres and of coordinates. */
export const PLACES = 6;

/** A length without digits that say nothing. */
export function lengthText(value: number): string {
  return String(Number(value.toFixed(PLACES)));
}
