import { toNumber } from '../../exact/rational.ts';
import { surdToNumber } from '../../exact/surd.ts';
import { marksOver } from '../../repeat/contents.ts';
import type { RepeatUnit } from '../../repeat/repeat-unit.ts';
import { markPlaces, signature } from './mark-places.ts';

/**
 * How many marks are not carried onto a mark of the same shade by both vectors of the lattice, found from where their
 * outlines lie and not from how they were made.
 */
export function missesOfMotif(unit: RepeatUnit): number {
  const size = { x: surdToNumber(unit.pitch.x), y: surdToNumber(unit.pitch.y) };
  const marks = marksOver(unit.content).flatMap(markPlaces);
  const known = new Set(marks.map((mark) => signature(mark, size)));
  const ways = unit.lattice.map(({ x, y }) => ({ x: toNumber(x) * size.x, y: toNumber(y) * size.y }));
  return ways.reduce(
    (misses, way) =>
      misses +
      marks.filter(({ places, paint }) => {
        const moved = places.map(({ x, y }) => ({ x: x + way.x, y: y + way.y }));
        return !known.has(signature({ places: moved, paint }, size));
      }).length,
    0,
  );
}
