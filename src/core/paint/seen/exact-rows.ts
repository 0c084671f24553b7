import { LINEAR_OF_BYTE, LINEAR_ONE } from '../../colour/linear.ts';
import { blockUnit, isBlock } from '../../repeat/block-unit.ts';
import type { RepeatUnit } from '../../repeat/repeat-unit.ts';
import type { ClothPlace } from '../../scene/seam-fit.ts';
import type { Place } from '../../shape/places.ts';
import { preparePainting } from '../painting.ts';
import { SEEN_CHANNELS, type SeenRows, type SeenWindow } from './seen-window.ts';

/** Most repeats each way that are painted as one, and pixels that the last may lie beside its place. */
const MOST_REPEATS = 32;
const MOST_OFF = 0.4;

/** Fewest pixels of a repeat that the painter paints by itself; smaller ones are seen by their light. */
const FEWEST_PIXELS = 4;

export interface ExactOrder {
  readonly unit: RepeatUnit;
  /** Of one repeat, in millimetres. */
  readonly size: Place;
  readonly place: ClothPlace;
  readonly window: SeenWindow;
  /** How far the part reaches, in millimetres: no repeat may lie beside its place anywhere in it. */
  readonly reach: Place;
}

/**
 * Cloth that lies flat and upright, by the painter itself: so many repeats as close on whole pixels.
 * @returns  undefined where it is turned, too small, or never close enough to whole pixels
 */
export function exactRows({ unit, size, place, window, reach }: ExactOrder): SeenRows | undefined {
  if (place.degrees % 360 !== 0) return undefined;
  const { perMillimetre, corner, width } = window;
  const across = blockAlong(size.x * place.scale * perMillimetre, reach.x * perMillimetre);
  const down = blockAlong(size.y * place.scale * perMillimetre, reach.y * perMillimetre);
  if (across === undefined || down === undefined) return undefined;
  const block = { across: across.repeats, down: down.repeats };
  if (!isBlock(unit, block)) return undefined;
  const painting = preparePainting(blockUnit(unit, block), {
    tile: { width: across.pixels, height: down.pixels },
    width,
    offset: {
      x: Math.round((corner.x - place.shift.x) * perMillimetre),
      y: Math.round((place.shift.y - corner.y) * perMillimetre),
    },
    look: 'flat',
  });
  const pixels = new Uint32Array(width);
  const bytes = new Uint8Array(pixels.buffer);
  return (row, from, to, out) => {
    painting.paintRow(row, pixels, 0);
    for (let at = SEEN_CHANNELS * from; at < SEEN_CHANNELS * to; at += SEEN_CHANNELS) {
      const opacity = bytes[at + 3]! / 255;
      const part = opacity / LINEAR_ONE;
      out[at] = LINEAR_OF_BYTE[bytes[at]!]! * part;
      out[at + 1] = LINEAR_OF_BYTE[bytes[at + 1]!]! * part;
      out[at + 2] = LINEAR_OF_BYTE[bytes[at + 2]!]! * part;
      out[at + 3] = opacity;
    }
  };
}

/** The fewest repeats whose whole pixels lie nowhere beside their place over a length; undefined where none do. */
function blockAlong(
  repeat: number,
  length: number,
): { readonly repeats: number; readonly pixels: number } | undefined {
  if (repeat < FEWEST_PIXELS) return undefined;
  for (let repeats = 1; repeats <= MOST_REPEATS; repeats += 1) {
    const pixels = Math.round(repeats * repeat);
    const off = Math.abs(pixels - repeats * repeat);
    if ((off * length) / pixels <= MOST_OFF) return { repeats, pixels };
    // All of the length lies in one block: what rounding is left is spread over it.
    if (repeats * repeat >= length) return { repeats, pixels };
  }
  return undefined;
}
