import type { Bent, FlatBox } from '../../bend/bent.ts';
import { BYTE_OF_LINEAR, LINEAR_ONE } from '../../colour/linear.ts';
import type { Place } from '../../shape/places.ts';
import type { ClothLight } from './cloth-light.ts';
import { type Footprint, lightSeen } from './footprint.ts';

/** Cloth as light, and how large one repeat of it is in millimetres. */
export interface SeenCloth {
  readonly light: ClothLight;
  readonly size: Place;
}

/** How cloth lies on what is flat: larger or smaller than it is, turned counterclockwise, then moved; millimetres. */
export interface ClothPlace {
  readonly scale: number;
  readonly degrees: number;
  readonly shift: Place;
}

/** What of a drawing is painted: from its upper left corner, in millimetres, y upward. */
export interface SeenWindow {
  readonly width: number;
  readonly height: number;
  readonly perMillimetre: number;
  readonly corner: Place;
}

export interface BentOrder {
  readonly bent: Bent;
  /** What was flat before it was bent; nothing is painted beyond it. */
  readonly box: FlatBox;
  readonly cloth: SeenCloth;
  readonly place: ClothPlace;
  readonly window: SeenWindow;
  /** How strongly light and shade of the bend are seen: 0, flat, to 1. */
  readonly shading: number;
}

/**
 * Paints bent cloth, each pixel with the mean light of what it sees. What is beyond the cloth's edge stays clear.
 * @returns rows of pixels of four bytes, sRGB and opacity
 */
export function paintBent({ bent, box, cloth, place, window, shading }: BentOrder): Uint8ClampedArray {
  const { width, height } = window;
  const out = new Uint8ClampedArray(4 * width * height);
  const onCloth = clothAt(place, cloth.size);
  const { width: wide, height: high } = cloth.light[0]!;
  // Places of a row's pixels and of those below, on what is flat and in repeats of the cloth.
  let above: Float64Array | undefined;
  let row = seenRow(window, 0, bent);
  const light = new Float64Array(4);
  const foot: Footprint = { acrossX: 0, acrossY: 0, downX: 0, downY: 0 };
  for (let y = 0; y < height; y += 1) {
    const below = seenRow(window, y + 1, bent);
    for (let x = 0; x < width; x += 1) {
      const u = row[2 * x]!;
      const v = row[2 * x + 1]!;
      // Nothing is seen where there is no place.
      if (!(u >= 0 && u <= box.width && v >= 0 && v <= box.height)) continue;
      const acrossU = stepOf(u, row[2 * x + 2]!, row[2 * x - 2]);
      const acrossV = stepOf(v, row[2 * x + 3]!, row[2 * x - 1]);
      const downU = stepOf(u, below[2 * x]!, above?.[2 * x]);
      const downV = stepOf(v, below[2 * x + 1]!, above?.[2 * x + 1]);
      foot.acrossX = onCloth.wayX(acrossU, acrossV) * wide;
      foot.acrossY = onCloth.wayY(acrossU, acrossV) * high;
      foot.downX = onCloth.wayX(downU, downV) * wide;
      foot.downY = onCloth.wayY(downU, downV) * high;
      const fromX = u - place.shift.x;
      const fromY = v - place.shift.y;
      lightSeen(cloth.light, onCloth.wayX(fromX, fromY), onCloth.wayY(fromX, fromY), foot, light);
      const falls = bent.lightAt === undefined ? 1 : bent.lightAt(...centreOf(window, x, y));
      putPixel(out, 4 * (y * width + x), light, 1 + shading * (falls - 1));
    }
    above = row;
    row = below;
  }
  return out;
}

/** From a way on what is flat to one in repeats of the cloth, the picture's rows going down. */
function clothAt({ scale, degrees }: ClothPlace, size: Place) {
  const turn = (degrees * Math.PI) / 180;
  const cosine = Math.cos(turn) / scale;
  const sine = Math.sin(turn) / scale;
  return {
    wayX: (u: number, v: number) => (u * cosine + v * sine) / size.x,
    wayY: (u: number, v: number) => (u * sine - v * cosine) / size.y,
  };
}

function centreOf({ corner, perMillimetre }: SeenWindow, x: number, y: number): [number, number] {
  return [corner.x + (x + 0.5) / perMillimetre, corner.y - (y + 0.5) / perMillimetre];
}

/** Where the pixels of a row lie on what is flat, one more than there are; two numbers each. */
function seenRow(window: SeenWindow, y: number, { back }: Bent): Float64Array {
  const places = new Float64Array(2 * (window.width + 1));
  const place = new Float64Array(2);
  for (let x = 0; x <= window.width; x += 1) {
    const [sceneX, sceneY] = centreOf(window, x, y);
    back(sceneX, sceneY, place);
    places[2 * x] = place[0]!;
    places[2 * x + 1] = place[1]!;
  }
  return places;
}

/** From a pixel's number to the next one's; from the one before where the next sees nothing, and nothing where that neither. */
function stepOf(here: number, next: number, before: number | undefined): number {
  const forward = next - here;
  if (!Number.isNaN(forward)) return forward;
  const backward = here - (before ?? Number.NaN);
  return Number.isNaN(backward) ? 0 : backward;
}

/** @param falls  by which its light is made stronger or weaker */
function putPixel(out: Uint8ClampedArray, at: number, light: Float64Array, falls: number): void {
  const opacity = light[3]!;
  if (opacity <= 0) return;
  for (let channel = 0; channel < 3; channel += 1) {
    const level = Math.min(1, Math.max(0, (light[channel]! * falls) / opacity));
    out[at + channel] = BYTE_OF_LINEAR[Math.round(level * LINEAR_ONE)]!;
  }
  out[at + 3] = Math.round(Math.min(1, opacity) * 255);
}
