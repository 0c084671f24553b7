import { describe, expect, it } from 'vitest';
import { randomNumbers } from '../../exact/random-numbers.ts';
import { irregularBands } from '../../thread/irregular.ts';
import { checkDesign } from '../check-design.ts';
import { compileUnit } from '../compile-design.ts';
import { kindOf } from '../design-facts.ts';
import { readDesign } from '../read-design.ts';
import { designFromStart } from '../starts.ts';
import { PLAID_STARTS } from './plaid-starts.ts';

describe('start points', () => {
  it.each(PLAID_STARTS.map(({ key }) => key))('%s makes a design that repeats', (key) => {
    const design = readDesign(designFromStart('plaid', key));
    expect(checkDesign(design).verdict).not.toBe('Open');
  });

  it('have a key, a name and a line of their own', () => {
    for (const part of ['key', 'name', 'what'] as const) {
      expect(new Set(PLAID_STARTS.map((start) => start[part])).size).toBe(PLAID_STARTS.length);
    }
  });

  it('are stripes where they are called so', () => {
    const stripes = PLAID_STARTS.filter(({ key }) => kindOf(designFromStart('plaid', key)) === 'stripe');
    expect(stripes.map(({ key }) => key)).toEqual(['pinstripe', 'bengal', 'candy', 'ticking']);
  });

  it('print flat gingham in the tones of the formulas: c·c/255, c and white', () => {
    const { content } = compileUnit(designFromStart('plaid', 'flat-gingham'));
    expect(content.shades.map((shade) => shade.hex)).toEqual(['#b95d64', '#d99aa0', '#d99aa0', '#ffffff']);
  });

  it('are refused by a name that nobody knows', () => {
    expect(() => designFromStart('plaid', 'paisley')).toThrow(
      expect.objectContaining({ code: 'start/unknown', facts: expect.objectContaining({ key: 'paisley' }) }),
    );
  });
});

describe('irregular bands', () => {
  it('are the same for the same seed, 0 too, and others for another', () => {
    const text = (seed: number) => JSON.stringify(irregularBands(seed, 14, ['A', 'B', 'C']));
    expect(text(0)).toBe(text(0));
    expect(new Set([0, 1, 2, 3].map(text)).size).toBe(4);
    expect(randomNumbers(0)()).not.toBe(0);
  });

  it('never put one shade beside itself, nor round the repeat', () => {
    for (let seed = 0; seed < 200; seed += 1) {
      const bands = irregularBands(seed, 9, ['A', 'B', 'C']);
      bands.forEach((band, index) => {
        expect(band.shade).not.toBe(bands[(index + 1) % bands.length]!.shade);
      });
    }
  });
});
