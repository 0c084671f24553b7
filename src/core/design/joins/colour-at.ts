import { hexOf, rgbOf } from '../../colour/hex.ts';
import { BYTE_OF_LINEAR, LINEAR_OF_BYTE } from '../../colour/linear.ts';
import { modulo } from '../../exact/modulo.ts';
import type { FadeWay } from '../../shape/fade-way.ts';
import { pictureOf, type ShownPicture } from '../../shape/picture.ts';
import type { Place } from '../../shape/places.ts';

/** How far along a fade a place lies, 0 … 1. */
export function alongWay(way: FadeWay, place: Place): number {
  const { every } = way;
  const at = every?.at ?? { x: 0, y: 0 };
  const { x, y } =
    every === null
      ? place
      : { x: at.x + modulo(place.x - at.x, every.x), y: at.y + modulo(place.y - at.y, every.y) };
  if (way.kind === 'outward') return Math.hypot(x - way.middle.x, y - way.middle.y) / way.radius;
  return alongLine(way.from, way.to, { x, y });
}

/** How far a place lies along a line, 0 at its start and 1 at its end. */
export function alongLine(from: Place, to: Place, { x, y }: Place): number {
  const way = { x: to.x - from.x, y: to.y - from.y };
  const square = way.x ** 2 + way.y ** 2;
  return square === 0 ? 0 : ((x - from.x) * way.x + (y - from.y) * way.y) / square;
}

/** The colour of a fade so far along it: shades at even steps, mixed in linear light. @param hexes  at least two */
export function fadeColour(hexes: readonly string[], along: number): string {
  const place = Math.min(1, Math.max(0, along)) * (hexes.length - 1);
  const step = Math.min(hexes.length - 2, Math.floor(place));
  return mixed(hexes[step]!, hexes[step + 1]!, place - step);
}

function mixed(one: string, other: string, part: number): string {
  const from = rgbOf(one);
  const to = rgbOf(other);
  const byte = (channel: 0 | 1 | 2) => {
    const light = LINEAR_OF_BYTE[from[channel]]!;
    return BYTE_OF_LINEAR[Math.round(light + (LINEAR_OF_BYTE[to[channel]]! - light) * part)]!;
  };
  return hexOf([byte(0), byte(1), byte(2)]);
}

/**
 * The colour of a picture at a place, over what lies beneath it; that alone beside it.
 * @param place  in the unit of the picture's place
 */
export function pictureColour(shown: ShownPicture, place: Place, beneath: string): string {
  const { width, height, rgba } = pictureOf(shown);
  const { corner, across, down } = shown.place;
  const area = across.x * down.y - across.y * down.x;
  const x = place.x - corner.x;
  const y = place.y - corner.y;
  const u = (x * down.y - y * down.x) / area;
  const v = (y * across.x - x * across.y) / area;
  if (!(u >= 0 && u < 1 && v >= 0 && v < 1)) return beneath;
  const at = 4 * (Math.floor(v * height) * width + Math.floor(u * width));
  const own = hexOf([rgba[at]!, rgba[at + 1]!, rgba[at + 2]!]);
  return mixed(beneath, own, rgba[at + 3]! / 255);
}
