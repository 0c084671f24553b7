import { type Bend, bentInTurn, takesUp } from '../bend/bent-by.ts';
import type { Place } from '../shape/places.ts';
import type { ScenePart, Seam } from './scene.ts';

/** How cloth lies on a part: larger or smaller than it is, turned counterclockwise, then moved; millimetres. */
export interface ClothPlace {
  readonly scale: number;
  readonly degrees: number;
  readonly shift: Place;
}

/** A part with its cloth, as seams are judged by. */
export interface SewnPart {
  readonly part: ScenePart;
  readonly bends: readonly Bend[];
  readonly place: ClothPlace;
}

/** How a pattern goes on across a seam; millimetres of the made thing. */
export interface SeamFit {
  /** The most that it is off anywhere along the seam. */
  readonly off: number;
  /** The shift of the second part that lets it go on, as near as it gets, and how far it would be off then. */
  readonly shift: Place;
  readonly left: number;
}

/**
 * How far the cloth of two parts is off along their seam.
 * @param lattice  what carries the cloth onto itself, in its own millimetres
 */
export function seamFit(
  { lines }: Seam,
  one: SewnPart,
  other: SewnPart,
  lattice: readonly [Place, Place],
): SeamFit {
  const ours = lines[0].map((place) => onCloth(flatOf(place, one), one.place));
  const flats = lines[1].map((place) => flatOf(place, other));
  const offBy = (place: ClothPlace) => {
    const theirs = flats.map((flat) => onCloth(flat, place));
    const apart = theirs.map((at, index) => nearest(minus(at, ours[index]!), lattice));
    return Math.max(...apart.map(({ x, y }) => Math.hypot(x, y))) * place.scale;
  };
  const middle = Math.floor(ours.length / 2);
  const wish = { x: 0, y: 0 };
  const theirs = onCloth(flats[middle]!, other.place);
  const apart = nearest(minus(theirs, ours[middle]!), lattice);
  // What is to be moved on the cloth is moved on the part by as much, made larger and turned.
  const move = onPart(apart, { ...other.place, shift: wish });
  const shift = { x: other.place.shift.x + move.x, y: other.place.shift.y + move.y };
  return { off: offBy(other.place), shift, left: offBy({ ...other.place, shift }) };
}

/** A place of a box on its flat cloth: what takes cloth up has more of it there. */
function flatOf({ x, y }: Place, { part, bends }: SewnPart): Place {
  const out = Float64Array.of(x, y);
  bentInTurn(bends.filter(takesUp), part.box).back(x, y, out);
  return { x: out[0]!, y: out[1]! };
}

/** A place of flat cloth in the cloth's own millimetres. */
export function onCloth({ x, y }: Place, { scale, degrees, shift }: ClothPlace): Place {
  const turn = (degrees * Math.PI) / 180;
  const way = { x: (x - shift.x) / scale, y: (y - shift.y) / scale };
  return {
    x: way.x * Math.cos(turn) + way.y * Math.sin(turn),
    y: way.y * Math.cos(turn) - way.x * Math.sin(turn),
  };
}

/** The way back of `onCloth`. */
export function onPart({ x, y }: Place, { scale, degrees, shift }: ClothPlace): Place {
  const turn = (degrees * Math.PI) / 180;
  return {
    x: (x * Math.cos(turn) - y * Math.sin(turn)) * scale + shift.x,
    y: (y * Math.cos(turn) + x * Math.sin(turn)) * scale + shift.y,
  };
}

function minus(one: Place, other: Place): Place {
  return { x: one.x - other.x, y: one.y - other.y };
}

/** The shortest of a way and all that a lattice makes of it. */
function nearest(way: Place, [one, other]: readonly [Place, Place]): Place {
  const area = one.x * other.y - one.y * other.x;
  const along = Math.round((way.x * other.y - way.y * other.x) / area);
  const up = Math.round((one.x * way.y - one.y * way.x) / area);
  let best = way;
  let least = Infinity;
  // Where the lattice leans, the shortest may lie a step or two beside the rounded one.
  for (let a = along - 2; a <= along + 2; a += 1) {
    for (let b = up - 2; b <= up + 2; b += 1) {
      const each = { x: way.x - a * one.x - b * other.x, y: way.y - a * one.y - b * other.y };
      const size = Math.hypot(each.x, each.y);
      if (size < least) {
        least = size;
        best = each;
      }
    }
  }
  return best;
}
