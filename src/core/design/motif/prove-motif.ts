import { toNumber } from '../../exact/rational.ts';
import { surdToNumber } from '../../exact/surd.ts';
import { marksOver } from '../../repeat/contents.ts';
import type { RepeatUnit } from '../../repeat/repeat-unit.ts';
import { placesOfFigure } from '../../shape/figure-places.ts';
import type { Place } from '../../shape/places.ts';

/** Parts of a millimetre within which places are the same: doubles of ten metres are exact to a millionth of that. */
const SAME = 1e6;

/**
 * How many marks are not carried onto a mark of the same shade by both vectors of the lattice, found from where their
 * outlines lie and not from how they were made.
 */
export function missesOfMotif(unit: RepeatUnit): number {
  const size = { x: surdToNumber(unit.pitch.x), y: surdToNumber(unit.pitch.y) };
  const marks = marksOver(unit.content).flatMap(({ shape, shade }) => {
    if (shape.kind !== 'figure') return [];
    // What goes on is one figure of parts, each of which is carried onto another.
    const parts = shape.endless && shape.figure.kind === 'join' ? shape.figure.parts : [shape.figure];
    return parts.map((part) => ({ places: placesOfFigure(part), shade }));
  });
  const known = new Set(marks.map(({ places, shade }) => signature(places, shade, size)));
  const ways = unit.lattice.map(({ x, y }) => ({ x: toNumber(x) * size.x, y: toNumber(y) * size.y }));
  return ways.reduce(
    (misses, way) =>
      misses +
      marks.filter(({ places, shade }) => {
        const moved = places.map(({ x, y }) => ({ x: x + way.x, y: y + way.y }));
        return !known.has(signature(moved, shade, size));
      }).length,
    0,
  );
}

/** The same for figures that lie in the same place of any repeat. */
function signature(places: readonly Place[], shade: number, size: Place): string {
  const [first] = places;
  if (first === undefined) return String(shade);
  const rest = places.map(({ x, y }) => `${near(x - first.x)} ${near(y - first.y)}`).join(' ');
  return `${shade} ${wrapped(first.x, size.x)} ${wrapped(first.y, size.y)} ${rest}`;
}

function near(value: number): number {
  return Math.round(value * SAME) + 0;
}

function wrapped(value: number, size: number): number {
  const whole = Math.round(size * SAME);
  return ((Math.round(value * SAME) % whole) + whole) % whole;
}
