import type { Place } from './places.ts';
import type { LineEnds } from './shape.ts';

/** Subpixels below which a line's corners may fall together by rounding. */
const LEAST = 4;

/**
 * The outline of one straight line, rounded as the polygon library rounds it, which needs to join nothing here.
 *
 * @param half  of its width, in subpixels
 * @param sagitta  most that a chord of a round end may lie inside it
 * @returns     corners in whole subpixels, y downward, walked as faces are; undefined where that library has to be asked
 */
export function straightLine(
  from: Place,
  to: Place,
  { half, ends, sagitta }: { readonly half: number; readonly ends: LineEnds; readonly sagitta: number },
): readonly Place[] | undefined {
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  if (ends === 'sharp' || !(half >= LEAST && length >= LEAST)) return undefined;
  // The same steps as in the library, so that roundings are the same.
  const dx = to.x - from.x;
  const dy = to.y - from.y;
  const per = 1 / Math.sqrt(dx * dx + dy * dy);
  const across = { x: dy * per * half, y: -dx * per * half };
  const back = { x: -across.x, y: -across.y };
  if (ends === 'flat')
    return [beside(to, back), beside(to, across), beside(from, across), beside(from, back)];
  return [...roundEnd(from, across, half, sagitta), ...roundEnd(to, back, half, sagitta)].reverse();
}

function beside({ x, y }: Place, by: Place): Place {
  return { x: Math.round(x + by.x), y: Math.round(y + by.y) };
}

/** Half a circle round an end, in chords, from the side opposite of `side` on. */
function roundEnd(end: Place, side: Place, half: number, sagitta: number): readonly Place[] {
  const steps = Math.PI / Math.acos(1 - sagitta / half);
  const sin = Math.sin((2 * Math.PI) / steps);
  const cos = Math.cos((2 * Math.PI) / steps);
  const chords = Math.ceil((steps / (2 * Math.PI)) * Math.PI);
  let by = { x: -side.x, y: -side.y };
  const places = [beside(end, by)];
  for (let chord = 1; chord < chords; chord += 1) {
    by = { x: by.x * cos - sin * by.y, y: by.x * sin + by.y * cos };
    places.push(beside(end, by));
  }
  places.push(beside(end, side));
  return places;
}
