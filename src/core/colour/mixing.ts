import { BYTE_OF_LINEAR, LINEAR_OF_BYTE, LINEAR_ONE } from './linear.ts';

/** How colours that share a pixel are mixed: as light, as the eye does, or as the bytes that they are stored in, as most programs do. */
export const MIXINGS = ['light', 'bytes'] as const;
export type Mixing = (typeof MIXINGS)[number];

/** The way from bytes to whole levels 0 … 65535 that are added up, and back to the nearest byte. */
export interface MixingTables {
  readonly levelOf: Float64Array;
  readonly byteOf: Uint8Array;
}

/** Levels of one byte where bytes are mixed: 65535 = 255 × 257. */
const PER_BYTE = 257;

const TABLES: Readonly<Record<Mixing, MixingTables>> = {
  light: { levelOf: LINEAR_OF_BYTE, byteOf: BYTE_OF_LINEAR },
  bytes: {
    levelOf: Float64Array.from({ length: 256 }, (_, byte) => byte * PER_BYTE),
    byteOf: Uint8Array.from({ length: LINEAR_ONE + 1 }, (_, level) => Math.round(level / PER_BYTE)),
  },
};

export function mixingTables(mixing: Mixing = 'light'): MixingTables {
  return TABLES[mixing];
}
