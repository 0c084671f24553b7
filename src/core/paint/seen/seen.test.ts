import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BYTE_OF_LINEAR, LINEAR_OF_BYTE, LINEAR_ONE } from '../../colour/linear.ts';
import { type ClothLight, clothLight } from './cloth-light.ts';
import { emptyPlan, type Footprint, lookAt, planLook } from './footprint.ts';

const SIDE = 64;

/** A grey tile by its pixels; the light of each 0 … 1. */
function tile(lightAt: (x: number, y: number) => number, width = SIDE, height = SIDE): Uint8Array {
  const bytes = new Uint8Array(4 * width * height);
  for (let at = 0; at < width * height; at += 1) {
    const light = lightAt(at % width, Math.floor(at / width));
    bytes.fill(BYTE_OF_LINEAR[Math.round(light * LINEAR_ONE)]!, 4 * at, 4 * at + 3);
    bytes[4 * at + 3] = 255;
  }
  return bytes;
}

function seen(cloth: ClothLight, x: number, y: number, foot: Footprint): number[] {
  const out = new Float64Array(4);
  const plan = emptyPlan();
  planLook(cloth, foot, plan);
  lookAt(cloth, x, y, plan, out);
  return [...out];
}

const square = (side: number): Footprint => ({ acrossX: side, acrossY: 0, downX: 0, downY: side });
const byte = (light: number) => BYTE_OF_LINEAR[Math.round(Math.min(1, light) * LINEAR_ONE)]!;

describe('the light of a tile', () => {
  it('is the same on the whole in every reduction', () => {
    const bytes = tile((x, y) => ((x * 7 + y * 13) % 11) / 10, 32, 8);
    const means = clothLight(bytes, 32, 8).map(
      ({ light }) =>
        light.reduce((sum, value, at) => (at % 4 === 0 ? sum + value : sum), 0) / (light.length / 4),
    );
    expect(means).toHaveLength(6);
    for (const mean of means) expect(mean).toBeCloseTo(means[0]!, 6);
  });

  it('counts as much as its opacity lets through', () => {
    const bytes = tile(() => 1);
    for (let at = 3; at < bytes.length; at += 8) bytes[at] = 0;
    const { light } = clothLight(bytes, SIDE, SIDE).at(-1)!;
    expect([...light]).toEqual([0.5, 0.5, 0.5, 0.5]);
  });

  it('is of sizes that halve', () => {
    expect(() => clothLight(new Uint8Array(4 * 12), 6, 2)).toThrow('powers of two');
  });
});

describe('what a pixel sees of it', () => {
  it('is a pixel of the tile where it is as large', () => {
    const bytes = tile((x, y) => ((x * 31 + y * 17) % 64) / 63);
    const cloth = clothLight(bytes, SIDE, SIDE);
    for (const [x, y] of [
      [0, 0],
      [5, 9],
      [63, 40],
    ] as const) {
      const [red] = seen(cloth, (x + 0.5) / SIDE, (y + 0.5) / SIDE, square(1));
      expect(byte(red!)).toBe(bytes[4 * (y * SIDE + x)]);
    }
  });

  it('is the same a whole tile further', () => {
    const cloth = clothLight(
      tile((x, y) => ((x * y) % 13) / 12),
      SIDE,
      SIDE,
    );
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.integer({ min: -3, max: 3 }),
        fc.double({ min: 0.5, max: 20, noNaN: true }),
        (x, tiles, side) => {
          const foot = { acrossX: side, acrossY: 1, downX: -0.5, downY: 2 };
          const here = seen(cloth, x, x / 2, foot);
          const there = seen(cloth, x + tiles, x / 2 - tiles, foot);
          for (const [channel, light] of here.entries()) expect(light).toBeCloseTo(there[channel]!, 6);
        },
      ),
    );
  });

  it('is all of one shade where the tile is, whatever its footprint', () => {
    const cloth = clothLight(
      tile(() => LINEAR_OF_BYTE[100]! / LINEAR_ONE),
      SIDE,
      SIDE,
    );
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -90, max: 90, noNaN: true }), { minLength: 4, maxLength: 4 }),
        (ways) => {
          const [acrossX, acrossY, downX, downY] = ways as [number, number, number, number];
          expect(byte(seen(cloth, 0.3, 0.7, { acrossX, acrossY, downX, downY })[0]!)).toBe(100);
        },
      ),
    );
  });

  it.each([
    [2, 3.1],
    [4, 7.3],
    [8, 13.7],
    [8, 31],
  ])(
    'of stripes of a period of %i is their mean within two levels, %f pixels at once: no moiré',
    (period, side) => {
      const cloth = clothLight(
        tile((x) => (x % period < period / 2 ? 1 : 0)),
        SIDE,
        SIDE,
      );
      const mean = byte(0.5);
      const levels = Array.from({ length: 200 }, (_, at) =>
        byte(seen(cloth, at * (side / SIDE), 0.5, square(side))[0]!),
      );
      // A wave of the picture that is longer than the stripes: means of so many pixels that hold some of them.
      for (let from = 0; from + 8 <= levels.length; from += 1) {
        const some = levels.slice(from, from + 8).reduce((sum, level) => sum + level, 0) / 8;
        expect(Math.abs(some - mean)).toBeLessThanOrEqual(2);
      }
    },
  );

  it('keeps what is fine one way and coarse the other, seen at a slant', () => {
    // Stripes down the tile, eight pixels each: a footprint 40 pixels high and one wide sees one of them.
    const cloth = clothLight(
      tile((x) => (x % 16 < 8 ? 1 : 0)),
      SIDE,
      SIDE,
    );
    const foot = { acrossX: 1, acrossY: 0, downX: 0, downY: 16 };
    expect(seen(cloth, 4 / SIDE, 0.2, foot)[0]).toBeGreaterThan(0.99);
    expect(seen(cloth, 12 / SIDE, 0.2, foot)[0]).toBeLessThan(0.01);
  });
});
