import { modulo } from '../../exact/modulo.ts';
import { surdToNumber } from '../../exact/surd.ts';
import { paintTile } from '../../paint/painting.ts';
import { type Plies, type Ply, repeatSize } from '../../repeat/repeat-unit.ts';
import type { Place } from '../../shape/places.ts';

/** Pixels of the longer side of a ply's repeat that is painted to see where it is clear. */
const SIDE = 384;

/** Opacity that is seen, and that hides all beneath, in bytes. */
const SEEN = 8;
const WHOLE = 255;

/** Most repeats of a ply within the common one that are looked at. */
const MOST_REPEATS = 64;

/** Tells which of a ply's repeats show what lies at a place of it; undefined where none does. */
export type SeenInPlies = (ply: number, place: Place) => Place | undefined;

/**
 * What is seen of places in plies: within the painted parts of the ply that they are clipped by, and not under what is
 * opaque. Places are in millimetres from the lower left of the common repeat, y upward.
 */
export function seenInPlies({ plies }: Pick<Plies, 'plies'>): SeenInPlies {
  const tiles = new Map<number, (place: Place) => number>();
  const opacityAt = (ply: number, place: Place): number => {
    const known = tiles.get(ply) ?? opacityOf(plies[ply]!);
    tiles.set(ply, known);
    return known(place);
  };
  const isShown = (at: number, place: Place) => {
    const { clip } = plies[at]!;
    if (clip !== null && opacityAt(clip, place) < SEEN) return false;
    return !plies.some((over, above) => above > at && hides(over) && opacityAt(above, place) === WHOLE);
  };
  return (at, place) => {
    const { unit, times } = plies[at]!;
    const size = repeatSize(unit)!;
    const step = { x: surdToNumber(size.width), y: surdToNumber(size.height) };
    const count = Math.min(MOST_REPEATS, times.across * times.down);
    for (let repeat = 0; repeat < count; repeat += 1) {
      const there = {
        x: place.x + (repeat % times.across) * step.x,
        y: place.y + Math.floor(repeat / times.across) * step.y,
      };
      if (isShown(at, there)) return there;
    }
    return undefined;
  };
}

/** Whether a ply may hide what lies beneath it. */
function hides({ shown, blend, strength, clip }: Ply): boolean {
  return shown && clip === null && blend === 'normal' && strength.n === strength.d;
}

function opacityOf({ unit, shift }: Ply): (place: Place) => number {
  const size = repeatSize(unit)!;
  const step = { x: surdToNumber(size.width), y: surdToNumber(size.height) };
  const scale = SIDE / Math.max(step.x, step.y);
  const width = Math.max(1, Math.round(step.x * scale));
  const height = Math.max(1, Math.round(step.y * scale));
  const pixels = paintTile(unit, { width, height });
  const moved = { x: surdToNumber(shift.x), y: surdToNumber(shift.y) };
  return ({ x, y }) => {
    const column = Math.min(width - 1, Math.floor((modulo(x - moved.x, step.x) / step.x) * width));
    const row = Math.min(height - 1, Math.floor((modulo(y - moved.y, step.y) / step.y) * height));
    return pixels[4 * ((height - 1 - row) * width + column) + 3]!;
  };
}
