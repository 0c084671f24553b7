import { describe, expect, it } from 'vitest';
import { rational, toText } from '../exact/rational.ts';
import { parseRepeats, parseSheet } from './sheet.ts';

/** Millimetres of a pixel at 300 dpi, each way. */
const PIXEL = { x: rational(127, 1500), y: rational(127, 1500) };

describe('parseSheet', () => {
  it.each([
    ['12inx12in', 'mm', '1524/5', '1524/5'],
    ['300 x 200 mm', 'in', '300', '200'],
    ['30 × 20', 'cm', '300', '200'],
    ['54"', 'mm', '6858/5', '6858/5'],
    ['3 m', 'mm', '3000', '3000'],
    ['1.5 x 2 m', 'mm', '1500', '2000'],
    ['600 x 300 px', 'in', '254/5', '127/5'],
    ['2', 'in', '254/5', '254/5'],
    ['1/2in x 1 1/2in', 'mm', '127/10', '381/10'],
  ] as const)('%s is %s', (text, unit, width, height) => {
    const sheet = parseSheet(text, unit, { x: rational(127, 1500), y: rational(127, 1500) });
    expect(sheet.kind === 'size' && [toText(sheet.size.width), toText(sheet.size.height)]).toEqual([
      width,
      height,
    ]);
  });

  it.each([
    ['', 'send/size'],
    ['12in x', 'send/size'],
    ['1x2x3', 'send/size'],
    ['0 x 5', 'length/not-positive'],
    ['wide', 'number/syntax'],
  ])('refuses %j', (text, code) => {
    expect(() => parseSheet(text, 'mm', PIXEL)).toThrow(expect.objectContaining({ code }));
  });
});

describe('parseRepeats', () => {
  it('takes two numbers, or one for both', () => {
    expect(parseRepeats('3 x 2')).toEqual({ kind: 'repeats', repeats: { across: 3, down: 2 } });
    expect(parseRepeats('2*2')).toEqual({ kind: 'repeats', repeats: { across: 4, down: 4 } });
  });

  it.each(['0', '1.5', '3 x 2 x 1', '1000000'])('refuses %s', (text) => {
    expect(() => parseRepeats(text)).toThrow('send/repeats');
  });
});
