import { describe, expect, it } from 'vitest';
import { ALL_LAYS } from '../core/design/lay/lay-offers.ts';
import { STRAIGHT_LAY } from '../core/design/lay/lay-schema.ts';
import { layText, wholeLayText } from './lay-words.ts';

describe('lays in words', () => {
  it('are each told apart', () => {
    const names = ALL_LAYS.map(layText);
    // Mirrors that go both ways have one name across and upward: the group's.
    expect(new Set(names).size).toBeGreaterThanOrEqual(names.length - 2);
  });

  it('say the scale as it was typed and the angle that was asked for', () => {
    const lay = {
      ...STRAIGHT_LAY,
      ends: '20',
      picks: '20',
      per: 'in' as const,
      unit: 'mm' as const,
      arrangement: { kind: 'brick', by: '1/3' } as const,
      scale: { to: 'count', count: '5', length: '1 m', lines: true } as const,
      slope: { up: 7, across: 10, asked: '35' },
    };
    expect(wholeLayText(lay)).toBe('Brick 1/3, 5 in 1 m, turned by about 35°');
    expect(wholeLayText({ ...lay, scale: null, slope: { up: 1, across: 2, asked: null } })).toBe(
      'Brick 1/3, on a slope of 1/2',
    );
  });
});
