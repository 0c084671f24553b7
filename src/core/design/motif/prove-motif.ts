import { toNumber } from '../../exact/rational.ts';
import { surdToNumber } from '../../exact/surd.ts';
import { marksOver } from '../../repeat/contents.ts';
import type { RepeatUnit } from '../../repeat/repeat-unit.ts';
import type { FadeWay } from '../../shape/fade-way.ts';
import { placesOfFigure } from '../../shape/figure-places.ts';
import type { PicturePlace } from '../../shape/picture.ts';
import type { Place } from '../../shape/places.ts';

/** Parts of a millimetre within which places are the same: doubles of ten metres are exact to a millionth of that. */
const SAME = 1e6;

/**
 * How many marks are not carried onto a mark of the same shade by both vectors of the lattice, found from where their
 * outlines lie and not from how they were made.
 */
export function missesOfMotif(unit: RepeatUnit): number {
  const size = { x: surdToNumber(unit.pitch.x), y: surdToNumber(unit.pitch.y) };
  const marks = marksOver(unit.content).flatMap(({ shape, shade, fade, picture, soft }) => {
    if (shape.kind !== 'figure') return [];
    const paint = `${shade} ${fade?.shades.join('-') ?? ''} ${soft?.deviation ?? ''} ${soft?.strength ?? ''} ${picture?.name ?? ''}`;
    // What goes on is one figure of parts, each of which is carried onto another.
    const parts = shape.endless && shape.figure.kind === 'join' ? shape.figure.parts : [shape.figure];
    const painted = [...fadePlaces(fade?.way), ...picturePlaces(picture?.place)];
    return parts.map((part) => ({ places: [...placesOfFigure(part), ...painted], paint }));
  });
  const known = new Set(marks.map(({ places, paint }) => signature(places, paint, size)));
  const ways = unit.lattice.map(({ x, y }) => ({ x: toNumber(x) * size.x, y: toNumber(y) * size.y }));
  return ways.reduce(
    (misses, way) =>
      misses +
      marks.filter(({ places, paint }) => {
        const moved = places.map(({ x, y }) => ({ x: x + way.x, y: y + way.y }));
        return !known.has(signature(moved, paint, size));
      }).length,
    0,
  );
}

/** Where a fade lies; one over the whole repeat lies in the same place of each. */
function fadePlaces(way: FadeWay | undefined): readonly Place[] {
  if (way === undefined || way.every !== null) return [];
  return way.kind === 'along'
    ? [way.from, way.to]
    : [way.middle, { x: way.middle.x + way.radius, y: way.middle.y }];
}

function picturePlaces(place: PicturePlace | undefined): readonly Place[] {
  if (place === undefined) return [];
  const { corner, across, down } = place;
  return [corner, ...[across, down].map(({ x, y }) => ({ x: corner.x + x, y: corner.y + y }))];
}

/** The same for figures that lie in the same place of any repeat. */
function signature(places: readonly Place[], paint: string, size: Place): string {
  const [first] = places;
  if (first === undefined) return paint;
  const rest = places.map(({ x, y }) => `${near(x - first.x)} ${near(y - first.y)}`).join(' ');
  return `${paint} ${wrapped(first.x, size.x)} ${wrapped(first.y, size.y)} ${rest}`;
}

/** No number that is typed lies half way between two once this is added: it is no fraction. */
const ASIDE = 1 / Math.sqrt(7);

function near(value: number): number {
  return Math.floor(value * SAME + ASIDE) + 0;
}

function wrapped(value: number, size: number): number {
  const rest = near(value - Math.floor(value / size) * size);
  // What lies at the far edge but for rounding lies at the near one.
  return rest === near(size) ? 0 : rest;
}
