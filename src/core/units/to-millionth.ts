/** A number as it is told, rounded to nearest, halves upward; nothing has no sign. */
export function toMillionth(value: number): number {
  return Math.round(value * 1e6) / 1e6 + 0;
}
