import type { Contour } from '../shape/contour.ts';
import { chordsOf } from '../shape/flatten.ts';
import type { Place } from '../shape/places.ts';

/** Places at which cloth on both sides of a seam is compared. */
const PLACES = 25;

/** Places at even distances along a line, both ends too. */
export function along(contour: Contour): readonly Place[] {
  const chords = chordsOf(contour, 0.2);
  const lengths = [0];
  for (let at = 1; at < chords.length; at += 1) {
    const from = chords[at - 1]!;
    const to = chords[at]!;
    lengths.push(lengths[at - 1]! + Math.hypot(to.x - from.x, to.y - from.y));
  }
  const whole = lengths.at(-1)!;
  let chord = 1;
  return Array.from({ length: PLACES }, (_, at) => {
    const way = (whole * at) / (PLACES - 1);
    while (chord < chords.length - 1 && lengths[chord]! < way) chord += 1;
    const from = chords[chord - 1]!;
    const to = chords[chord]!;
    const part = (way - lengths[chord - 1]!) / (lengths[chord]! - lengths[chord - 1]! || 1);
    return { x: from.x + part * (to.x - from.x), y: from.y + part * (to.y - from.y) };
  });
}
