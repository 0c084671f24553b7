/**
 * The sRGB transfer in whole numbers, so that sums of light are exact: bytes ↔ 0…65535 in linear light.
 * Source: IEC 61966-2-1:1999, 5.2.
 */
export const LINEAR_ONE = 65535;

/** Linear light of each byte, rounded to the nearest 1/65535. */
export const LINEAR_OF_BYTE: Float64Array = Float64Array.from({ length: 256 }, (_, byte) =>
  Math.round(decode(byte / 255) * LINEAR_ONE),
);

/** Nearest byte of each linear value; undoes LINEAR_OF_BYTE exactly. */
export const BYTE_OF_LINEAR: Uint8Array = Uint8Array.from({ length: LINEAR_ONE + 1 }, (_, light) =>
  Math.round(encode(light / LINEAR_ONE) * 255),
);

function decode(value: number): number {
  return value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4;
}

function encode(light: number): number {
  return light <= 0.0031308 ? light * 12.92 : 1.055 * light ** (1 / 2.4) - 0.055;
}
