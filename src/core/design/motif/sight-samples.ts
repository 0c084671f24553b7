import type { Paths64 } from 'clipper2-ts';
import type { Grid } from '../../shape/grid.ts';
import type { Place } from '../../shape/places.ts';

/** Places of a repeat that are looked at. */
const SAMPLES = 96;

/** Parts of the grid that a place has to lie from any edge, so that rounding leaves it on its side. */
const CLEAR = 64;

/** Whether a map of the grid's parts may carry outlines onto themselves: as far as some places tell. */
export type MayBeKept = (map: (place: Place) => Place) => boolean;

/**
 * A quick look at outlines before they are laid over themselves: places well inside or outside have to come to lie so again.
 * It never turns down a map that carries them onto themselves.
 *
 * @param paths  of one repeat, cut at its borders
 */
export function mayBeKept(paths: Paths64, { width, height }: Grid): MayBeKept {
  const samples = Array.from({ length: SAMPLES }, (_, at) => ({
    x: Math.round(width * halton(at + 1, 2)),
    y: Math.round(height * halton(at + 1, 3)),
  }))
    .filter((place) => isClear(place, paths))
    .map((place) => ({ place, inside: isInside(place, paths) }));
  return (map) =>
    samples.every(({ place, inside }) => {
      const { x, y } = map(place);
      const folded = { x: x - width * Math.floor(x / width), y: y - height * Math.floor(y / height) };
      const isAtBorder =
        Math.min(folded.x, width - folded.x) < CLEAR || Math.min(folded.y, height - folded.y) < CLEAR;
      return isAtBorder || isInside(folded, paths) === inside;
    });
}

/** Numbers of 0 … 1 that fill it evenly. J. H. Halton, Numerische Mathematik 2 (1960) 84–90. */
function halton(index: number, base: number): number {
  let part = 1;
  let value = 0;
  for (let rest = index; rest > 0; rest = Math.floor(rest / base)) {
    part /= base;
    value += part * (rest % base);
  }
  return value;
}

/** By the crossings of a level line to the right. */
function isInside({ x, y }: Place, paths: Paths64): boolean {
  let inside = false;
  for (const path of paths) {
    for (let at = 0, before = path.length - 1; at < path.length; before = at, at += 1) {
      const one = path[before]!;
      const other = path[at]!;
      if (one.y > y === other.y > y) continue;
      if (x < one.x + ((y - one.y) / (other.y - one.y)) * (other.x - one.x)) inside = !inside;
    }
  }
  return inside;
}

function isClear(place: Place, paths: Paths64): boolean {
  return paths.every((path) => path.every((to, at) => distance(place, path.at(at - 1)!, to) > CLEAR));
}

/** From a place to a piece of a line. */
function distance(place: Place, from: Place, to: Place): number {
  const along = { x: to.x - from.x, y: to.y - from.y };
  const square = along.x ** 2 + along.y ** 2;
  const away = { x: place.x - from.x, y: place.y - from.y };
  const part = square === 0 ? 0 : (away.x * along.x + away.y * along.y) / square;
  const within = Math.min(1, Math.max(0, part));
  return Math.hypot(away.x - within * along.x, away.y - within * along.y);
}
