import { modulo } from '../../exact/modulo.ts';
import { surdToNumber } from '../../exact/surd.ts';
import { isBlock } from '../../repeat/block-unit.ts';
import { partsOf } from '../../repeat/lay/parts-of.ts';
import type { Ply, RepeatUnit } from '../../repeat/repeat-unit.ts';
import type { Place } from '../../shape/places.ts';
import type { Painting, PaintWindow } from '../painting.ts';

/** Paints a unit in a window. */
export type Prepare = (unit: RepeatUnit, window: PaintWindow) => Painting;

/** Most faces and figures of a ply that are painted as one where its repeats do not come out in whole pixels. */
const MOST_EXACT = 100;

/** Whether a ply's repeats do not come out in whole pixels and are too many to be painted as one. */
export function isFitted({ unit, times }: Ply, tile: PaintWindow['tile']): boolean {
  if (tile.width % times.across === 0 && tile.height % times.down === 0) return false;
  if (!isBlock(unit, times)) return true;
  const { content } = unit;
  return content.kind !== 'cells' && partsOf(content) * times.across * times.down > MOST_EXACT;
}

/**
 * A ply each of whose repeats begins and ends at the nearest whole pixel, so that all of them fill the common repeat: two widths
 * and two heights occur, and nothing lies further than half a pixel from where it is. Its shift is of whole pixels too.
 *
 * @param window  of the common repeat
 * @param pitch   millimetres of it
 */
export function paintFitted(
  { unit, times, shift }: Ply,
  { tile, width, offset, look, mixing }: PaintWindow,
  { pitch, prepare }: { readonly pitch: Place; readonly prepare: Prepare },
): Painting {
  const shiftX = Math.round((surdToNumber(shift.x) * tile.width) / pitch.x);
  const shiftY = Math.round((surdToNumber(shift.y) * tile.height) / pitch.y);
  const sizes = new Map<number, KeptRow>();
  const rowOf = (wide: number, high: number, row: number): Uint32Array => {
    const name = wide * (tile.height + 1) + high;
    let kept = sizes.get(name);
    if (kept === undefined) {
      const small = { tile: { width: wide, height: high }, width: wide, offset: { x: 0, y: 0 }, look };
      const painting = prepare(unit, mixing === undefined ? small : { ...small, mixing });
      kept = { painting, row: -1, pixels: new Uint32Array(wide) };
      sizes.set(name, kept);
    }
    if (kept.row !== row) {
      kept.painting.paintRow(row, kept.pixels, 0);
      kept.row = row;
    }
    return kept.pixels;
  };
  return {
    width,
    paintRow: (row, out, at) => {
      // Rows are counted downward.
      const y = modulo(offset.y + shiftY + row, tile.height);
      const down = repeatAt(y, tile.height, times.down);
      const high = down.end - down.start;
      for (let x = 0; x < width; ) {
        const place = modulo(offset.x - shiftX + x, tile.width);
        const { start, end } = repeatAt(place, tile.width, times.across);
        const length = Math.min(end - place, width - x);
        const pixels = rowOf(end - start, high, y - down.start);
        out.set(pixels.subarray(place - start, place - start + length), at + x);
        x += length;
      }
    },
  };
}

interface KeptRow {
  readonly painting: Painting;
  readonly pixels: Uint32Array;
  /** The row that was painted last. */
  row: number;
}

/**
 * The pixels of the repeat in which a pixel lies: repeat k begins at the nearest pixel to k parts of the whole, a half up, so
 * that the last k whose beginning is no further than a pixel p is the last below (p + 1/2) times / pixels.
 */
function repeatAt(
  pixel: number,
  pixels: number,
  times: number,
): { readonly start: number; readonly end: number } {
  const repeat = Math.ceil(((2 * pixel + 1) * times) / (2 * pixels)) - 1;
  const edge = (at: number) => Math.floor((2 * at * pixels + times) / (2 * times));
  return { start: edge(repeat), end: edge(repeat + 1) };
}

/** The size in pixels that most repeats of a fitted ply have, by which its edges are tested. */
export function fittedTile({ times }: Ply, tile: PaintWindow['tile']): PaintWindow['tile'] {
  return {
    width: Math.max(1, Math.round(tile.width / times.across)),
    height: Math.max(1, Math.round(tile.height / times.down)),
  };
}
