import { describe, expect, it } from 'vitest';
import { rational, toDecimal } from '../exact/rational.ts';
import { parseShrinkage } from './shrinkage.ts';

describe('parseShrinkage', () => {
  it('makes 100 × 100 mm 102.04 × 104.17 mm where the warp shrinks by 4 % and the weft by 2 %', () => {
    const { x, y } = parseShrinkage('4%, 2%');
    expect([x, y]).toEqual([rational(100, 98), rational(100, 96)]);
    expect([toDecimal(rational(10_000, 98), 2), toDecimal(rational(10_000, 96), 2)]).toEqual([
      '102.04',
      '104.17',
    ]);
  });

  it('takes one part for both, and parts as numbers', () => {
    expect(parseShrinkage('0.04')).toEqual(parseShrinkage('4 %,4%'));
    expect(parseShrinkage('0')).toEqual({ x: rational(1), y: rational(1) });
  });

  it('takes what people write between two parts', () => {
    const both = parseShrinkage('4%, 2.5%');
    for (const text of ['4% 2.5%', '4 x 2.5', '4%; 2.5%', '4 % × 2.5 %', '4,2.5', '0.04 0.025']) {
      expect(parseShrinkage(text), text).toEqual(both);
    }
  });

  it.each(['', '4%,', '1,2,3', '60%', '-1%', '%', '4% wide', '96dpi?'])('refuses “%s”', (text) => {
    expect(() => parseShrinkage(text)).toThrow(expect.objectContaining({ code: 'send/shrink' }));
  });
});
