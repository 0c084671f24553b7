import { LEVEL, type Slope, sameSlope, slopeDegrees, slopeText, UPRIGHT } from '../core/exact/slope.ts';

/** Where lines go, in a few words: "down", "across", "7/10, 34.992°". */
export function linesText(slope: Slope): string {
  if (sameSlope(slope, UPRIGHT)) return 'down';
  if (sameSlope(slope, LEVEL)) return 'across';
  return `${slopeText(slope)}, ${degreesText(slopeDegrees(slope))}`;
}

/** Degrees to three places: "34.992°". */
export function degreesText(degrees: number): string {
  return `${Number(degrees.toFixed(3)).toString().replace('-', '−')}°`;
}

/** By how much an angle is missed: "met", "−0.008°", "0.00001°" where it is small. */
export function missText(error: number): string {
  // Differences of doubles below this are their rounding.
  if (Math.abs(error) < 1e-12) return 'met';
  const places = Math.min(9, Math.max(3, 1 - Math.floor(Math.log10(Math.abs(error)))));
  return `${error > 0 ? '+' : '−'}${Number(Math.abs(error).toFixed(places))}°`;
}

/** Said of the nearest turn that is offered, where it does not meet what was asked. */
export function nearestTurnSentence(most: number): string {
  return `No turn that holds at most ${most} repeats is nearer.`;
}
