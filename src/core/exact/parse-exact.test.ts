import { describe, expect, it } from 'vitest';
import { parseExact } from './parse-exact.ts';
import { toText } from './rational.ts';

describe('parseExact', () => {
  it.each([
    ['24', '24'],
    ['0.35', '7/20'],
    ['.5', '1/2'],
    ['3/4', '3/4'],
    ['1 1/2', '3/2'],
    ['2*12', '24'],
    ['2 × 12', '24'],
    ['(3+5)/2', '4'],
    ['10 − 4', '6'],
    ['-3', '-3'],
    ['1/3*3', '1'],
    ['0.1 + 0.2', '3/10'],
  ])('%s is %s, exactly', (text, value) => {
    expect(toText(parseExact(text))).toBe(value);
  });

  it.each([
    ['', 'number/empty', undefined],
    ['   ', 'number/empty', undefined],
    ['abc', 'number/syntax', 0],
    ['12px', 'number/syntax', 2],
    ['3//4', 'number/syntax', 2],
    ['(3', 'number/syntax', 2],
    ['1e9', 'number/syntax', 1],
    ['5/0', 'number/zero-divisor', undefined],
    ['9'.repeat(19), 'number/syntax', 0],
    ['1+'.repeat(41), 'number/too-long', undefined],
  ])('%s is refused: %s', (text, code, at) => {
    expect(() => parseExact(text)).toThrow(
      expect.objectContaining({ code, ...(at === undefined ? {} : { facts: { text, at } }) }),
    );
  });
});
