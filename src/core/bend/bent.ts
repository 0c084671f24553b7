/** What something flat is bent in: from (0, 0) to its width and height, in millimetres, y upward. */
export interface FlatBox {
  readonly width: number;
  readonly height: number;
}

/**
 * A map of the plane, there and back, in millimetres. Both write two numbers, so that a picture's pixels make no garbage; NaN
 * where there is no such place.
 */
export interface Bent {
  /** Where a place of what is flat comes to lie. */
  readonly there: (x: number, y: number, out: Float64Array) => void;
  /** The place of what is flat that is seen at one. */
  readonly back: (x: number, y: number, out: Float64Array) => void;
  /** Light that falls on what is seen at a place, as a part of what falls on flat cloth; left out, as much everywhere. */
  readonly lightAt?: (x: number, y: number) => number;
}

/** Where the light comes from: from the left above, in front. Unit length. */
export const LIGHT = { x: -0.48, y: 0.36, z: 0.8 } as const;

/**
 * Light on a surface whose normal is given, as a part of what falls on one that is seen straight on: Lambert's cosine law (J. H.
 * Lambert, Photometria, 1760).
 */
export function lightOn(x: number, y: number, z: number): number {
  const length = Math.hypot(x, y, z);
  return Math.max(0, (x * LIGHT.x + y * LIGHT.y + z * LIGHT.z) / (length * LIGHT.z));
}
