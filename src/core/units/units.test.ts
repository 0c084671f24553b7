import { describe, expect, it } from 'vitest';
import { rational, toText } from '../exact/rational.ts';
import { parseDensity, threadPitch } from './density.ts';
import { fromMillimetres, parseLength } from './length.ts';
import { parseResolution, pixelsIn, resolutionFor } from './resolution.ts';

describe('lengths', () => {
  it.each([
    ['12in', 'mm', '1524/5'],
    ['3/4"', 'mm', '381/20'],
    ['0.35 cm', 'mm', '7/2'],
    ['10', 'cm', '100'],
    ['2 inches', 'mm', '254/5'],
  ] as const)('%s, bare numbers in %s, is %s mm', (text, unit, millimetres) => {
    expect(toText(parseLength(text, unit, rational(1, 10)))).toBe(millimetres);
  });

  it('refuses nothing and less', () => {
    expect(() => parseLength('0 mm', 'mm', rational(1))).toThrow('length/not-positive');
    expect(() => parseLength('-1in', 'mm', rational(1))).toThrow('length/not-positive');
  });

  it('goes back to its unit', () => {
    expect(toText(fromMillimetres(parseLength('7/9 in', 'mm', rational(1)), 'in'))).toBe('7/9');
  });
});

describe('densities', () => {
  it('gives the exact pitch of a thread', () => {
    expect(toText(threadPitch(parseDensity('24'), 'in'))).toBe('127/120');
    expect(toText(threadPitch(parseDensity('37/2'), 'cm'))).toBe('20/37');
  });

  it.each(['0', '-3', '1001'])('refuses %s', (text) => {
    expect(() => parseDensity(text)).toThrow(
      expect.objectContaining({ code: 'density/range', facts: { text, most: 1000 } }),
    );
  });
});

describe('resolutions', () => {
  it('reads with and without its unit', () => {
    expect(toText(parseResolution('300'))).toBe('300');
    expect(toText(parseResolution('150 dpi'))).toBe('150');
  });

  it.each(['0', '-1', '9601', '100000'])('refuses %s', (text) => {
    expect(() => parseResolution(text)).toThrow('resolution/range');
  });

  it('turns lengths into pixels and back', () => {
    const length = rational(381, 10);
    const pixels = pixelsIn(length, rational(300));
    expect(toText(pixels)).toBe('450');
    expect(toText(resolutionFor(pixels, length))).toBe('300');
  });
});
