import { type Motion, movePlace, turnAbout } from './contour.ts';
import type { Place } from './places.ts';

/** The box in which a fade comes again: how wide and high, and where the lower left of one lies, (0, 0) if left out. */
export interface FadeRepeat extends Place {
  readonly at?: Place;
}

/** Most shades of a fade. */
export const MAX_FADE_SHADES = 12;

/** How far along a fade each place lies, 0 at its first shade and 1 at its last, in millimetres. */
export type FadeWay =
  | { readonly kind: 'along'; readonly from: Place; readonly to: Place; readonly every: FadeRepeat | null }
  | {
      readonly kind: 'outward';
      readonly middle: Place;
      readonly radius: number;
      readonly every: FadeRepeat | null;
    };

/** A fade moves with its figure; one that comes again in every repeat stays. */
export function moveFade(way: FadeWay, motion: Motion): FadeWay {
  if (way.every !== null) return way;
  if (way.kind === 'outward') return { ...way, middle: movePlace(way.middle, motion) };
  return { ...way, from: movePlace(way.from, motion), to: movePlace(way.to, motion) };
}

/** A fade moved, with the boxes in which it comes again. */
export function shiftFade(way: FadeWay, by: Place): FadeWay {
  const moved = ({ x, y }: Place): Place => ({ x: x + by.x, y: y + by.y });
  const every = way.every && { ...way.every, at: moved(way.every.at ?? { x: 0, y: 0 }) };
  if (way.kind === 'outward') return { ...way, middle: moved(way.middle), every };
  return { ...way, from: moved(way.from), to: moved(way.to), every };
}

/** From the first of some places to the last, seen along a direction in degrees. */
export function fadeAlong(places: readonly Place[], degrees: number, every: Place | null): FadeWay {
  const { a, b } = turnAbout({ x: 0, y: 0 }, degrees);
  const ways = places.map(({ x, y }) => x * a + y * b);
  const middle = middleOf(places);
  const here = middle.x * a + middle.y * b;
  const at = (way: number) => ({ x: middle.x + (way - here) * a, y: middle.y + (way - here) * b });
  return { kind: 'along', from: at(least(ways)), to: at(most(ways)), every };
}

/** From the middle of some places to the furthest. */
export function fadeOutward(places: readonly Place[], every: Place | null): FadeWay {
  const middle = middleOf(places);
  const radius = most(places.map(({ x, y }) => Math.hypot(x - middle.x, y - middle.y)));
  return { kind: 'outward', middle, radius, every };
}

/** The middle of the box round some places. */
function middleOf(places: readonly Place[]): Place {
  const xs = places.map(({ x }) => x);
  const ys = places.map(({ y }) => y);
  return { x: (least(xs) + most(xs)) / 2, y: (least(ys) + most(ys)) / 2 };
}

function least(values: readonly number[]): number {
  return values.reduce((low, value) => Math.min(low, value), Infinity);
}

function most(values: readonly number[]): number {
  return values.reduce((high, value) => Math.max(high, value), -Infinity);
}
