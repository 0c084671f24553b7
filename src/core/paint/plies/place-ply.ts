import { surdToNumber } from '../../exact/surd.ts';
import { blockUnit } from '../../repeat/block-unit.ts';
import { shiftUnit } from '../../repeat/plies/shift-unit.ts';
import type { Ply, RepeatUnit } from '../../repeat/repeat-unit.ts';
import type { Place } from '../../shape/places.ts';
import type { PaintWindow } from '../painting.ts';

/** Pixels by which a shift may miss whole ones and count as whole: nothing is drawn so fine. */
const NO_PIXEL = 1e-6;

/** What is painted of a ply, and in which window of its own. */
export interface PlacedPly {
  readonly unit: RepeatUnit;
  readonly window: PaintWindow;
}

/**
 * A ply by itself, unless it is fitted: in its own repeats where they come out in whole pixels, else all of them in the common
 * one. A shift of whole pixels moves the window; threads are shifted by the nearest whole ones.
 *
 * @param window  of the common repeat
 * @param pitch   millimetres of it
 */
export function placePly(ply: Ply, window: PaintWindow, pitch: Place): PlacedPly {
  const { unit, times, shift } = ply;
  const { tile, width, offset, look, mixing } = window;
  const isWhole = tile.width % times.across === 0 && tile.height % times.down === 0;
  const small = { width: tile.width / times.across, height: tile.height / times.down };
  const pixels = {
    x: (surdToNumber(shift.x) * tile.width) / pitch.x,
    y: (surdToNumber(shift.y) * tile.height) / pitch.y,
  };
  const whole = { x: Math.round(pixels.x), y: Math.round(pixels.y) };
  // Threads stay threads, and keep their own pixels.
  const isThreads = unit.content.kind === 'cells';
  const isShifted =
    !isThreads && (Math.abs(pixels.x - whole.x) > NO_PIXEL || Math.abs(pixels.y - whole.y) > NO_PIXEL);
  const moved = isShifted ? shiftUnit(unit, shift) : unit;
  const by = isShifted ? { x: 0, y: 0 } : whole;
  return {
    unit: isWhole ? moved : blockUnit(moved, times),
    window: {
      tile: isWhole ? small : tile,
      width,
      // What is moved to the right is seen from further left; rows are counted downward.
      offset: { x: offset.x - by.x, y: offset.y + by.y },
      look,
      ...(mixing && { mixing }),
    },
  };
}
