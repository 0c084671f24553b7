import { toNumber } from '../../exact/rational.ts';
import { surdToNumber } from '../../exact/surd.ts';
import { marksOver } from '../../repeat/contents.ts';
import type { RepeatUnit } from '../../repeat/repeat-unit.ts';
import { markPlaces, signature, unorderedSignature } from './mark-places.ts';

/**
 * How many marks are not carried onto a mark of the same shade by both vectors of the lattice, found from where their
 * outlines lie and not from how they were made.
 */
export function missesOfMotif(unit: RepeatUnit): number {
  const size = { x: surdToNumber(unit.pitch.x), y: surdToNumber(unit.pitch.y) };
  const marks = marksOver(unit.content).flatMap(markPlaces);
  const known = new Set(marks.map((mark) => signature(mark, size)));
  // A disc that lies in the middle of a turn is there once, whichever way it came to be turned.
  const alike = new Set(marks.map((mark) => unorderedSignature(mark, size)));
  const ways = unit.lattice.map(({ x, y }) => ({ x: toNumber(x) * size.x, y: toNumber(y) * size.y }));
  return ways.reduce(
    (misses, way) =>
      misses +
      marks.filter(({ places, paint, varied }) => {
        const moved = { places: places.map(({ x, y }) => ({ x: x + way.x, y: y + way.y })), paint };
        if (known.has(signature(moved, size))) return false;
        return varied || !alike.has(unorderedSignature(moved, size));
      }).length,
    0,
  );
}
