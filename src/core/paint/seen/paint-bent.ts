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
  const { width, height, perMillimetre, corner } = window;
  const out = new Uint8ClampedArray(4 * width * height);
  const { width: wide, height: high } = cloth.light[0]!;
  // From a way on what is flat to one in repeats of the cloth, the picture's rows going down.
  const turn = (place.degrees * Math.PI) / 180;
  const uToX = Math.cos(turn) / (place.scale * cloth.size.x);
  const vToX = Math.sin(turn) / (place.scale * cloth.size.x);
  const uToY = Math.sin(turn) / (place.scale * cloth.size.y);
  const vToY = -Math.cos(turn) / (place.scale * cloth.size.y);
  // Where the pixels of three rows lie on what is flat, one more than there are; two numbers each.
  let above: Float64Array | undefined;
  let row = seenRow(window, 0, bent);
  const light = new Float64Array(4);
  const foot: Footprint = { acrossX: 0, acrossY: 0, downX: 0, downY: 0 };
  for (let y = 0; y < height; y += 1) {
    const below = seenRow(window, y + 1, bent);
    const sceneY = corner.y - (y + 0.5) / perMillimetre;
    for (let x = 0; x < width; x += 1) {
      const u = row[2 * x]!;
      const v = row[2 * x + 1]!;
      // Nothing is seen where there is no place.
      if (!(u >= 0 && u <= box.width && v >= 0 && v <= box.height)) continue;
      let nextU = row[2 * x + 2]! - u;
      let nextV = row[2 * x + 3]! - v;
      let downU = below[2 * x]! - u;
      let downV = below[2 * x + 1]! - v;
      // At the edge of what is seen the pixel before says how far it goes.
      if (Number.isNaN(nextU + nextV)) {
        nextU = x > 0 ? ifSeen(u - row[2 * x - 2]!) : 0;
        nextV = x > 0 ? ifSeen(v - row[2 * x - 1]!) : 0;
      }
      if (Number.isNaN(downU + downV)) {
        downU = above === undefined ? 0 : ifSeen(u - above[2 * x]!);
        downV = above === undefined ? 0 : ifSeen(v - above[2 * x + 1]!);
      }
      foot.acrossX = (nextU * uToX + nextV * vToX) * wide;
      foot.acrossY = (nextU * uToY + nextV * vToY) * high;
      foot.downX = (downU * uToX + downV * vToX) * wide;
      foot.downY = (downU * uToY + downV * vToY) * high;
      const fromU = u - place.shift.x;
      const fromV = v - place.shift.y;
      lightSeen(cloth.light, fromU * uToX + fromV * vToX, fromU * uToY + fromV * vToY, foot, light);
      const falls =
        shading === 0
          ? 1
          : 1 + shading * ((bent.lightAt?.(corner.x + (x + 0.5) / perMillimetre, sceneY) ?? 1) - 1);
      putPixel(out, 4 * (y * width + x), light, falls);
    }
    above = row;
    row = below;
  }
  return out;
}

/** Where the pixels of a row lie on what is flat. */
function seenRow({ width, corner, perMillimetre }: SeenWindow, y: number, { back }: Bent): Float64Array {
  const places = new Float64Array(2 * (width + 1));
  const place = new Float64Array(2);
  const sceneY = corner.y - (y + 0.5) / perMillimetre;
  for (let x = 0; x <= width; x += 1) {
    back(corner.x + (x + 0.5) / perMillimetre, sceneY, place);
    places[2 * x] = place[0]!;
    places[2 * x + 1] = place[1]!;
  }
  return places;
}

function ifSeen(step: number): number {
  return Number.isNaN(step) ? 0 : step;
}

/** @param falls  by which its light is made stronger or weaker */
function putPixel(out: Uint8ClampedArray, at: number, light: Float64Array, falls: number): void {
  const opacity = light[3]!;
  if (opacity <= 0) return;
  const times = (falls * LINEAR_ONE) / opacity;
  out[at] = BYTE_OF_LINEAR[Math.min(LINEAR_ONE, (light[0]! * times + 0.5) | 0)]!;
  out[at + 1] = BYTE_OF_LINEAR[Math.min(LINEAR_ONE, (light[1]! * times + 0.5) | 0)]!;
  out[at + 2] = BYTE_OF_LINEAR[Math.min(LINEAR_ONE, (light[2]! * times + 0.5) | 0)]!;
  out[at + 3] = opacity * 255;
}
