import { describe, expect, it } from 'vitest';
import { MIXINGS, mixingTables } from './mixing.ts';

describe('mixing', () => {
  it.each(MIXINGS)('%s gives every byte back', (mixing) => {
    const { levelOf, byteOf } = mixingTables(mixing);
    for (let byte = 0; byte < 256; byte += 1) expect(byteOf[levelOf[byte]!]).toBe(byte);
    expect(levelOf[255]).toBe(65535);
  });

  it('finds black and white half way in light, or half way in stored values', () => {
    const half = (mixing: (typeof MIXINGS)[number]) => {
      const { levelOf, byteOf } = mixingTables(mixing);
      return byteOf[Math.round((levelOf[0]! + levelOf[255]!) / 2)];
    };
    // sRGB of half the light is 188 (IEC 61966-2-1).
    expect(half('light')).toBe(188);
    expect(half('bytes')).toBe(128);
    expect(mixingTables()).toBe(mixingTables('light'));
  });
});
