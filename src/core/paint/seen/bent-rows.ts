import type { Bent } from '../../bend/bent.ts';
import type { ClothPlace } from '../../scene/seam-fit.ts';
import type { Place } from '../../shape/places.ts';
import type { ClothLight } from './cloth-light.ts';
import { emptyPlan, type Footprint, lookAt, planLook } from './footprint.ts';
import { SEEN_CHANNELS, type SeenRows, type SeenWindow } from './seen-window.ts';

/** Cloth as light, and how large one repeat of it is in millimetres. */
export interface SeenCloth {
  readonly light: ClothLight;
  readonly size: Place;
}

export interface BentOrder {
  /** From flat cloth to what is seen, in millimetres of the window's drawing. */
  readonly bent: Bent;
  readonly cloth: SeenCloth;
  readonly place: ClothPlace;
  readonly window: SeenWindow;
  /** How strongly light and shade of the bend are seen: 0, flat, to 1. */
  readonly shading: number;
  /** The finest that the eye parts, in millimetres of the drawing; 0 from close to. */
  readonly finest: number;
}

/** Where the pixels of a row lie on flat cloth, one more than there are, two numbers each. */
interface SeenRow {
  readonly row: number;
  readonly from: number;
  readonly to: number;
  readonly places: Float64Array;
}

/** Bent cloth, each pixel with the mean light of what it sees. Nothing is written where no place of the cloth is seen. A hot loop. */
export function bentRows({ bent, cloth, place, window, shading, finest }: BentOrder): SeenRows {
  const { width, perMillimetre, corner } = window;
  const { width: wide, height: high } = cloth.light[0]!;
  // From a way on flat cloth to one in repeats, the picture's rows going down.
  const turn = (place.degrees * Math.PI) / 180;
  const uToX = Math.cos(turn) / (place.scale * cloth.size.x);
  const vToX = Math.sin(turn) / (place.scale * cloth.size.x);
  const uToY = Math.sin(turn) / (place.scale * cloth.size.y);
  const vToY = -Math.cos(turn) / (place.scale * cloth.size.y);
  // A pixel, and what the eye does not part, are spread over each other.
  const spread = Math.hypot(1, finest * perMillimetre);
  const acrossOf = spread * wide;
  const downOf = spread * high;
  const light = new Float64Array(SEEN_CHANNELS);
  const plan = emptyPlan();
  const foot: Footprint = { acrossX: 0, acrossY: 0, downX: 0, downY: 0 };
  const room = [new Float64Array(2 * (width + 2)), new Float64Array(2 * (width + 2))] as const;
  // The row that was made last; it is not written over by the next.
  let last: SeenRow | undefined;
  const seenRow = (row: number, from: number, to: number): SeenRow => {
    if (last?.row === row && last.from <= from && last.to >= to) return last;
    const places = last?.places === room[0] ? room[1] : room[0];
    const y = corner.y - (row + 0.5) / perMillimetre;
    for (let x = from; x <= to; x += 1) {
      bent.back(corner.x + (x + 0.5) / perMillimetre, y, out);
      places[2 * x] = out[0]!;
      places[2 * x + 1] = out[1]!;
    }
    last = { row, from, to, places };
    return last;
  };
  const out = new Float64Array(2);
  return (row, from, to, line) => {
    const { places } = seenRow(row, from, to);
    const next = seenRow(row + 1, from, to).places;
    let isPlanned = false;
    const shade = lightAlong(row, from);
    for (let x = from; x < to; x += 1) {
      const u = places[2 * x]!;
      const v = places[2 * x + 1]!;
      const at = SEEN_CHANNELS * x;
      if (Number.isNaN(u + v)) {
        line.fill(0, at, at + SEEN_CHANNELS);
        isPlanned = false;
        continue;
      }
      // Neighbours see footprints that hardly differ: one is planned for a few.
      if (!isPlanned || (x & (NEIGHBOURS - 1)) === 0) {
        let acrossU = places[2 * x + 2]! - u;
        let acrossV = places[2 * x + 3]! - v;
        let downU = next[2 * x]! - u;
        let downV = next[2 * x + 1]! - v;
        // At the edge of what is seen the pixel before says how far it goes, or nothing does.
        if (Number.isNaN(acrossU + acrossV)) {
          acrossU = x > from ? ifSeen(u - places[2 * x - 2]!) : 0;
          acrossV = x > from ? ifSeen(v - places[2 * x - 1]!) : 0;
        }
        if (Number.isNaN(downU + downV)) {
          downU = 0;
          downV = 0;
        }
        foot.acrossX = (acrossU * uToX + acrossV * vToX) * acrossOf;
        foot.acrossY = (acrossU * uToY + acrossV * vToY) * downOf;
        foot.downX = (downU * uToX + downV * vToX) * acrossOf;
        foot.downY = (downU * uToY + downV * vToY) * downOf;
        planLook(cloth.light, foot, plan);
        isPlanned = true;
      }
      const fromU = u - place.shift.x;
      const fromV = v - place.shift.y;
      lookAt(cloth.light, fromU * uToX + fromV * vToX, fromU * uToY + fromV * vToY, plan, light);
      const falls = shade === undefined ? 1 : shade(x);
      line[at] = light[0]! * falls;
      line[at + 1] = light[1]! * falls;
      line[at + 2] = light[2]! * falls;
      line[at + 3] = light[3]!;
    }
  };

  /** Light and shade along a row, from place to place straight between some; undefined where there are none. */
  function lightAlong(row: number, from: number): ((x: number) => number) | undefined {
    const { lightAt } = bent;
    if (shading === 0 || lightAt === undefined) return undefined;
    const y = corner.y - (row + 0.5) / perMillimetre;
    const fallsAt = (x: number) => 1 + shading * (lightAt(corner.x + (x + 0.5) / perMillimetre, y) - 1);
    let start = from;
    let here = fallsAt(from);
    let there = fallsAt(from + NEIGHBOURS);
    return (x) => {
      if (x >= start + NEIGHBOURS) {
        here = x === start + NEIGHBOURS ? there : fallsAt(x);
        start = x;
        there = fallsAt(x + NEIGHBOURS);
      }
      return here + ((there - here) * (x - start)) / NEIGHBOURS;
    };
  }
}

/** Pixels beside each other that are looked at alike; a power of two. */
const NEIGHBOURS = 4;

function ifSeen(step: number): number {
  return Number.isNaN(step) ? 0 : step;
}
