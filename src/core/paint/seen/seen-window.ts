import type { Place } from '../../shape/places.ts';

/** What of a drawing is painted: from its upper left corner, in millimetres, y upward. */
export interface SeenWindow {
  /** Pixels. */
  readonly width: number;
  readonly height: number;
  readonly perMillimetre: number;
  readonly corner: Place;
}

/** Numbers of a pixel's light: red, green and blue as much as its opacity lets through, and opacity; 0 … 1. */
export const SEEN_CHANNELS = 4;

/** Writes the light of some pixels of a row, from one column to before another, at their places in the row. */
export type SeenRows = (row: number, from: number, to: number, out: Float32Array) => void;
