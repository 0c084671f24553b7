import { create } from 'zustand';
import type { Proof } from '../core/colour/proof.ts';
import type { Camera, RepeatSize, Size } from './cloth-camera.ts';

/** How the cloth is looked at; none of it belongs to the design. */
export interface ClothView {
  readonly view: Size;
  readonly camera: Camera | undefined;
  /** Threads of one repeat, as the worker found them. */
  readonly repeat: RepeatSize | undefined;
  /** Height of a pick for an end one wide. */
  readonly ratio: number;
  readonly outlineRepeat: boolean;
  readonly outlineUnit: boolean;
  /** How far everything but the unit is faded, 0 … 1. */
  readonly fade: number;
  readonly ticket: boolean;
  /** How the cloth is seen; for proofing, it changes nothing. */
  readonly proof: Proof;
  /** Whether woven cloth is seen from behind. */
  readonly behind: boolean;
  /** Whether the Colours step shows all colourways instead of the cloth. */
  readonly sideBySide: boolean;
  /** Whether the Build step shows the draft instead of the cloth. */
  readonly draft: boolean;
  /** Floats that are longer are marked on the draft; 0 marks none. */
  readonly floatLimit: number;
}

export const useCloth = create<ClothView>(() => ({
  view: { width: 0, height: 0 },
  camera: undefined,
  repeat: undefined,
  ratio: 1,
  outlineRepeat: true,
  outlineUnit: false,
  fade: 0,
  ticket: true,
  proof: 'none',
  behind: false,
  sideBySide: false,
  draft: false,
  floatLimit: 0,
}));

const CALIBRATION = 'vetro-pixels-per-mm';

/** CSS pixels of one millimetre on this monitor, or undefined while nobody has measured it. */
export function calibration(): number | undefined {
  const value = Number(localStorage.getItem(CALIBRATION));
  return value > 0 ? value : undefined;
}

export function calibrate(pixelsPerMillimetre: number): void {
  localStorage.setItem(CALIBRATION, String(pixelsPerMillimetre));
}

/** What CSS takes a millimetre for when nobody has measured: 96 pixels an inch. */
export const NOMINAL_PIXELS_PER_MM = 96 / 25.4;
