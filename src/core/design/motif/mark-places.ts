import type { FadeWay } from '../../shape/fade-way.ts';
import type { Figure } from '../../shape/figure.ts';
import { placesOfFigure } from '../../shape/figure-places.ts';
import type { PicturePlace } from '../../shape/picture.ts';
import type { Place } from '../../shape/places.ts';
import type { Mark } from '../../shape/shape.ts';

/** Where a mark lies and what it is painted with, to be compared with others. */
export interface MarkPlaces {
  /** Of its outlines, of its fade and of its picture, in millimetres. */
  readonly places: readonly Place[];
  readonly paint: string;
  /** Whether it is another at each place, so that it matters which of its places is which. */
  readonly varied: boolean;
}

/** A mark's parts: what goes on is one figure of many, each of which is carried onto another. */
export function markPlaces({ shape, shade, fade, picture, soft }: Mark): readonly MarkPlaces[] {
  if (shape.kind !== 'figure') return [];
  const softness = `${soft?.deviation ?? ''} ${soft?.strength ?? ''}`;
  const paint = `${shade} ${fade?.shades.join('-') ?? ''} ${softness} ${picture?.name ?? ''}`;
  const parts: readonly Figure[] =
    shape.endless && shape.figure.kind === 'join' ? shape.figure.parts : [shape.figure];
  const painted = [...fadePlaces(fade?.way), ...picturePlaces(picture?.place)];
  return parts.map((part) => ({
    places: [...placesOfFigure(part), ...painted],
    paint,
    varied: painted.length > 0,
  }));
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

/** Parts of a millimetre within which places are the same: doubles of ten metres are exact to a millionth of that. */
const SAME = 1e6;

/** The same for marks that lie in the same place of any repeat, their places in the same order. */
export function signature({ places, paint }: Omit<MarkPlaces, 'varied'>, size: Place): string {
  const [first] = places;
  if (first === undefined) return paint;
  const rest = places.map(({ x, y }) => `${near(x - first.x)} ${near(y - first.y)}`).join(' ');
  return `${paint} ${wrapped(first.x, size.x)} ${wrapped(first.y, size.y)} ${rest}`;
}

/** The same for marks that are alike, in whichever order their places come. */
export function unorderedSignature({ places, paint }: Omit<MarkPlaces, 'varied'>, size: Place): string {
  const middle = { x: middleOf(places.map(({ x }) => x)), y: middleOf(places.map(({ y }) => y)) };
  const rest = [...new Set(places.map(({ x, y }) => `${near(x - middle.x)} ${near(y - middle.y)}`))].sort();
  return `${paint} ${wrapped(middle.x, size.x)} ${wrapped(middle.y, size.y)} ${rest.join(' ')}`;
}

function middleOf(values: readonly number[]): number {
  const least = values.reduce((low, value) => Math.min(low, value), Infinity);
  const most = values.reduce((high, value) => Math.max(high, value), -Infinity);
  return (least + most) / 2;
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
