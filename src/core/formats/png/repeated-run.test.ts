import { constants, deflateRawSync, inflateRawSync } from 'node:zlib';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { adler32, repeatAdler32 } from './adler32.ts';
import { repeatedRun, WINDOW } from './repeated-run.ts';

/** What zlib makes of some bytes and a run after them, as text that is cheap to compare. */
function inflated(before: Uint8Array, distance: number, length: number): string {
  const flushed = deflateRawSync(before, { finishFlush: constants.Z_FULL_FLUSH });
  const end = Uint8Array.of(0x03, 0x00);
  return inflateRawSync(Buffer.concat([flushed, repeatedRun(distance, length), end])).toString('latin1');
}

function expected(before: Uint8Array, distance: number, length: number): string {
  const bytes = new Uint8Array(before.length + length);
  bytes.set(before);
  for (let at = before.length; at < bytes.length; at += 1) bytes[at] = bytes[at - distance]!;
  return Buffer.from(bytes).toString('latin1');
}

function noise(length: number): Uint8Array {
  return Uint8Array.from({ length }, (_, at) => (at * at * 7 + at * 13) % 251);
}

describe('repeatedRun', () => {
  it('is read by zlib as copies of what stood before', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: WINDOW }),
        fc.integer({ min: 3, max: 20_000 }),
        (distance, length) => {
          const before = noise(distance);
          return inflated(before, distance, length) === expected(before, distance, length);
        },
      ),
      { numRuns: 300 },
    );
  });

  it.each([3, 4, 10, 11, 257, 258, 259, 260, 261, 516, 1031, 1032, 1033, 1034, 1035, 1290, 100_000])(
    'copies %i bytes at every first distance of a code',
    (length) => {
      for (const distance of [1, 2, 3, 4, 5, 7, 9, 13, 24, 25, 192, 193, 16_384, 16_385, 24_577, WINDOW]) {
        const before = noise(distance);
        if (inflated(before, distance, length) !== expected(before, distance, length)) {
          expect.fail(`${length} bytes at ${distance} differ`);
        }
      }
    },
  );

  it('costs less than a bit for eight bytes', () => {
    expect(repeatedRun(3000, 300_000).length).toBeLessThan(300_000 / 64);
  });

  it.each([
    [0, 10],
    [WINDOW + 1, 10],
    [5, 2],
    [5, Number.NaN],
  ])('refuses %i back and %i long', (distance, length) => {
    expect(() => repeatedRun(distance, length)).toThrow();
  });
});

describe('repeatAdler32', () => {
  it('is that of all the bytes', () => {
    const bytes = noise(1234);
    for (const times of [0, 1, 2, 3, 7, 64, 1001]) {
      const all = Buffer.concat(Array.from({ length: times }, () => bytes));
      expect(repeatAdler32(adler32(bytes), bytes.length, times)).toBe(adler32(all));
    }
  });
});
