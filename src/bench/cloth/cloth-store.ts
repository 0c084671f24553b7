import { create } from 'zustand';
import type { Proof } from '../../core/colour/proof.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { PLAIN_THREADS } from '../../core/paint/cells/thread-light.ts';
import { type ClothMarks, NO_MARKS } from '../../core/thread/mark-cells.ts';
import { keep, readKept } from '../../kit/kept/browser-store.ts';
import type { Measured } from '../../workers/cloth-worker.ts';
import type { Camera, Size } from './cloth-camera.ts';

export const CLOTH_LOOKS = ['auto', 'flat', 'threads', 'finished'] as const;
export type ClothLook = (typeof CLOTH_LOOKS)[number];

/** How the cloth is looked at; none of it belongs to the design. */
export interface ClothView {
  readonly view: Size;
  readonly camera: Camera | undefined;
  /** Whether two fingers zoom just now, so that neither of them pans. */
  readonly pinching: boolean;
  /** One repeat, as the worker found it. */
  readonly repeat: Measured | undefined;
  /** The design that it was measured of. */
  readonly measured: Design | undefined;
  /** Height of a pick for an end one wide. */
  readonly ratio: number;
  readonly outlineRepeat: boolean;
  readonly outlineUnit: boolean;
  readonly outlineLattice: boolean;
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
  /** Whether the draft shows its lift plan in the place of tie-up and treadling. */
  readonly liftPlan: boolean;
  /** What is marked on cloth and draft. */
  readonly marks: ClothMarks;
  /** How threads are drawn: by themselves flat far away and as threads close up, else always so. */
  readonly look: ClothLook;
  /** Where light comes from, in degrees: 0 from the right, 90 from above. */
  readonly light: number;
  /** Whether threads are as thick as their yarn, else they fill their space. */
  readonly yarnThick: boolean;
  /** Whether a tiling that is grown shows its patch instead of the cloth. */
  readonly growing: boolean;
}

export const useCloth = create<ClothView>(() => ({
  view: { width: 0, height: 0 },
  camera: undefined,
  pinching: false,
  repeat: undefined,
  measured: undefined,
  ratio: 1,
  outlineRepeat: true,
  outlineUnit: false,
  outlineLattice: false,
  fade: 0,
  ticket: true,
  proof: 'none',
  behind: false,
  sideBySide: false,
  draft: false,
  liftPlan: false,
  marks: NO_MARKS,
  look: 'auto',
  light: PLAIN_THREADS.light,
  yarnThick: false,
  growing: false,
}));

const CALIBRATION = 'vetro-pixels-per-mm';

/** CSS pixels of one millimetre on this monitor, or undefined while nobody has measured it. */
export function calibration(): number | undefined {
  const value = Number(readKept(CALIBRATION));
  return value > 0 ? value : undefined;
}

export function calibrate(pixelsPerMillimetre: number): void {
  keep(CALIBRATION, String(pixelsPerMillimetre));
}

/** What CSS takes a millimetre for when nobody has measured: 96 pixels an inch. */
export const NOMINAL_PIXELS_PER_MM = 96 / 25.4;
