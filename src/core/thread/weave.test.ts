import { describe, expect, it } from 'vitest';
import { formatTwill, interlace, MAX_TWILL, parseTwill, twillName } from './weave.ts';

/** Rows as drawn: the last pick at the top. */
function drawn(over: number, under: number, hand: 'Z' | 'S'): string[] {
  const { ends, picks, up } = interlace({ over, under, hand });
  return Array.from({ length: picks }, (_, row) => {
    const pick = picks - 1 - row;
    return [...up.subarray(pick * ends, (pick + 1) * ends)].map((cell) => (cell ? '#' : '.')).join('');
  });
}

describe('interlace', () => {
  it('draws plain weave', () => {
    expect(drawn(1, 1, 'Z')).toEqual(['.#', '#.']);
  });

  it('keeps the share of warp on the face', () => {
    for (const [over, under] of [
      [2, 1],
      [1, 3],
      [5, 4],
    ] as const) {
      const { up, ends, picks } = interlace({ over, under, hand: 'S' });
      const filled = up.reduce((sum, cell) => sum + cell, 0);
      expect(filled / (ends * picks)).toBeCloseTo(over / (over + under), 12);
    }
  });

  it.each([
    [0, 1],
    [1, 0],
    [-2, 2],
    [1.5, 1],
    [MAX_TWILL + 1, 1],
    [Number.NaN, 1],
  ])('refuses %d/%d', (over, under) => {
    expect(() => interlace({ over, under, hand: 'Z' })).toThrow('weave/float');
  });
});

describe('twills as text', () => {
  it.each([
    ['plain', 'plain', 'Plain'],
    ['1/1', 'plain', 'Plain'],
    ['2/2', '2/2Z', '2/2 twill Z'],
    ['3/1 s', '3/1S', '3/1 twill S'],
    ['2 / 1 twill Z', '2/1Z', '2/1 twill Z'],
  ])('%s is %s', (text, written, name) => {
    expect(formatTwill(parseTwill(text))).toBe(written);
    expect(twillName(parseTwill(text))).toBe(name);
  });

  it.each(['', 'satin', '2/2X', '2', '2/', '2/2/2', '2/2 ZZ'])('refuses %s', (text) => {
    expect(() => parseTwill(text)).toThrow('weave/text');
  });

  it('refuses floats beyond the limit', () => {
    expect(() => parseTwill('99/1')).toThrow('weave/float');
    expect(() => parseTwill('0/2')).toThrow('weave/float');
  });
});
