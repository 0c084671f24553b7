import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { MAX_COUNT } from './band.ts';
import {
  type Bands,
  insertBand,
  moveBand,
  removeBand,
  setCount,
  setShade,
  setStrength,
  splitBand,
  tradeThreads,
} from './edit-bands.ts';

const THREE: Bands = [
  { shade: 'A', count: 4 },
  { shade: 'B', count: 2 },
  { shade: 'C', count: 6 },
];

function text(bands: Bands): string {
  return bands.map(({ shade, count }) => `${shade}${count}`).join(' ');
}

function total(bands: Bands): number {
  return bands.reduce((sum, band) => sum + band.count, 0);
}

describe('edits of bands', () => {
  it.each([
    ['set a count', setCount(THREE, 1, 9), 'A4 B9 C6'],
    ['keep one thread', setCount(THREE, 1, -3), 'A4 B1 C6'],
    ['keep within the limit', setCount(THREE, 1, 1e9), `A4 B${MAX_COUNT} C6`],
    ['trade with the neighbour', tradeThreads(THREE, 0, 1, 1), 'A5 B1 C6'],
    ['stop when the giver has one', tradeThreads(THREE, 0, 1, 7), 'A5 B1 C6'],
    ['stop when the taker has one', tradeThreads(THREE, 0, 1, -9), 'A1 B5 C6'],
    ['move forward', moveBand(THREE, 0, 2), 'B2 C6 A4'],
    ['move back', moveBand(THREE, 2, 0), 'C6 A4 B2'],
    ['split, the larger first', splitBand(setCount(THREE, 0, 5), 0), 'A3 A2 B2 C6'],
    ['remove', removeBand(THREE, 1), 'A4 C6'],
    ['insert', insertBand(THREE, 1, { shade: 'D', count: 3 }), 'A4 D3 B2 C6'],
    ['give a shade', setShade(THREE, 2, 'A'), 'A4 B2 A6'],
  ])('%s', (_, bands, expected) => {
    expect(text(bands)).toBe(expected);
  });

  it('gives one band a strength, and takes it away', () => {
    const strong = setStrength(THREE, 1, '60%');
    expect(strong[1]).toEqual({ ...THREE[1], strength: '60%' });
    expect(setStrength(strong, 1, undefined)).toEqual(THREE);
    expect(setStrength(strong, 1, '60%')).toBe(strong);
  });

  it('returns the same object when nothing changes', () => {
    const one: Bands = [{ shade: 'A', count: 1 }];
    expect(setCount(THREE, 1, 2)).toBe(THREE);
    expect(setCount(THREE, 7, 2)).toBe(THREE);
    expect(moveBand(THREE, 1, 1)).toBe(THREE);
    expect(moveBand(THREE, 1, 9)).toBe(THREE);
    expect(tradeThreads(THREE, 1, 1, 3)).toBe(THREE);
    expect(splitBand(one, 0)).toBe(one);
    expect(removeBand(one, 0)).toBe(one);
    expect(setShade(THREE, 0, 'A')).toBe(THREE);
  });

  it('never changes the total by trading, moving or splitting', () => {
    const place = fc.integer({ min: 0, max: 2 });
    fc.assert(
      fc.property(place, place, fc.integer({ min: -20, max: 20 }), (a, b, threads) => {
        for (const bands of [
          tradeThreads(THREE, a, b, threads),
          moveBand(THREE, a, b),
          splitBand(THREE, a),
        ]) {
          expect(total(bands)).toBe(total(THREE));
          expect(bands.every(({ count }) => count >= 1)).toBe(true);
        }
      }),
    );
  });
});
