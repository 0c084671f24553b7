import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { layOver } from './blend.ts';
import { hexOf, normaliseHex, rgbOf } from './hex.ts';
import { inkOn } from './ink-on.ts';
import { BYTE_OF_LINEAR, LINEAR_OF_BYTE } from './linear.ts';
import { hexOfName, nameOf } from './name-of.ts';
import { freeKey, SHADE_KEY } from './shade.ts';

describe('hex', () => {
  it.each([
    ['#20304a', '#20304a'],
    ['20304A', '#20304a'],
    [' #FA3 ', '#ffaa33'],
  ])('%s is %s', (text, hex) => {
    expect(normaliseHex(text)).toBe(hex);
  });

  it.each(['', '#12', 'green', '#12345', '#1234567', '#gggggg'])('refuses %s', (text) => {
    expect(() => normaliseHex(text)).toThrow('colour/hex');
  });

  it('goes to bytes and back', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 0xffffff }), (value) => {
        const hex = `#${value.toString(16).padStart(6, '0')}`;
        expect(hexOf(rgbOf(hex))).toBe(hex);
      }),
    );
  });
});

describe('linear light', () => {
  it('takes every byte there and back, in order', () => {
    for (let byte = 0; byte < 256; byte += 1) {
      expect(BYTE_OF_LINEAR[LINEAR_OF_BYTE[byte]!]).toBe(byte);
      if (byte > 0) expect(LINEAR_OF_BYTE[byte]!).toBeGreaterThan(LINEAR_OF_BYTE[byte - 1]!);
    }
  });
});

describe('blends', () => {
  it('lays nothing over at strength 0 and all at 1', () => {
    expect(layOver([1, 2, 3], [200, 100, 50], 'multiply', 0)).toEqual([1, 2, 3]);
    expect(layOver([1, 2, 3], [200, 100, 50], 'normal', 1)).toEqual([200, 100, 50]);
  });

  it('rounds a half up', () => {
    expect(layOver([0, 0, 0], [1, 3, 255], 'normal', 0.5)).toEqual([1, 2, 128]);
  });
});

describe('names and letters', () => {
  it('knows CSS names and nothing else', () => {
    expect(hexOfName(' Ivory ')).toBe('#fffff0');
    expect(hexOfName('constructor')).toBeUndefined();
    expect(hexOfName('boiler green')).toBeUndefined();
  });

  it('names a colour after its nearest neighbour', () => {
    expect(nameOf('#fffff1')).toBe('Ivory');
  });

  it('hands out letters that are free', () => {
    expect(freeKey(new Set())).toBe('A');
    expect(freeKey(new Set(['A', 'C']))).toBe('B');
    const alphabet = new Set(Array.from({ length: 26 }, (_, at) => String.fromCharCode(65 + at)));
    expect(freeKey(alphabet)).toBe('AA');
    expect(SHADE_KEY.test('AA')).toBe(true);
  });

  it('writes dark on light and light on dark', () => {
    expect(inkOn('#fbf8f0')).toBe('dark');
    expect(inkOn('#24402f')).toBe('light');
  });
});
