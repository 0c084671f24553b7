/**
 * Part of an area that is covered by ink, from what it reflects (A. Murray, "Monochrome reproduction in photoengraving",
 * Journal of the Franklin Institute 221 (1936), from memory).
 *
 * @param reflectance  of the print, of the bare ground's 1
 * @param solid        of ground that is all covered
 */
export function coveredArea(reflectance: number, solid: number): number {
  return (1 - reflectance) / (1 - solid);
}

/** The inverse: what reflects where that part is covered. */
export function reflectanceOf(area: number, solid: number): number {
  return 1 - area * (1 - solid);
}

/**
 * The part that a printed tint covers, since drops spread on cloth: a parabola that gains nothing at 0 and 1 and most in
 * the middle (common practice).
 *
 * @param area  wanted, 0 to 1
 * @param gain  at a half: 0.15 makes 50 % print as 65 %
 */
export function printedArea(area: number, gain: number): number {
  return area + 4 * gain * area * (1 - area);
}
