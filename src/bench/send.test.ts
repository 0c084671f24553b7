import { describe, expect, it } from 'vitest';
import { SAMPLE, sampleDesign } from '../../tests/sample-design.ts';
import { rational } from '../core/exact/rational.ts';
import { addressOf, readWish, type SendWish } from './send-store.ts';
import { fileName } from './take-file.ts';
import { fitScale } from './use-send-preview.ts';

const DESIGN = sampleDesign(SAMPLE);
const WISH: SendWish = {
  file: 'png',
  what: 'tile',
  scale: 'dpi',
  perThread: '4',
  size: '300 x 200 mm',
  underlap: '',
  mixing: 'light',
  drawn: 'flat',
  colourway: '',
};

describe('what is to be sent', () => {
  it('is read in numbers, or told in words', () => {
    expect(readWish(WISH, DESIGN)).toEqual({
      value: { scale: { dpi: rational(300) }, sheet: undefined },
    });
    expect(readWish({ ...WISH, scale: 'thread', perThread: '2*3' }, DESIGN)).toMatchObject({
      value: { scale: { perStep: 6 } },
    });
    expect(readWish({ ...WISH, what: 'sheet' }, DESIGN)).toMatchObject({
      value: { sheet: { width: rational(300), height: rational(200) } },
    });
    expect(readWish({ ...WISH, what: 'sheet', size: 'large' }, DESIGN)).toEqual({
      problem: '“large” is not a number. Write one such as 24, 0.35, 3/4 or 2*12.',
    });
  });

  it('has an address that says it all', () => {
    expect(addressOf('a', WISH, DESIGN)).toBe('/api/designs/a/files/tile.png?save=&dpi=300');
    expect(addressOf('a', { ...WISH, scale: 'thread', what: 'sheet' }, DESIGN)).toBe(
      '/api/designs/a/files/tile.png?save=&perThread=4&size=300+x+200+mm',
    );
    expect(addressOf('a', { ...WISH, drawn: 'finished' }, DESIGN)).toBe(
      '/api/designs/a/files/tile.png?save=&dpi=300&drawn=finished',
    );
    expect(addressOf('a', { ...WISH, colourway: 'Night' }, DESIGN)).toBe(
      '/api/designs/a/files/tile.png?save=&dpi=300&colourway=Night',
    );
    expect(addressOf('a', { ...WISH, file: 'csv', what: 'sheet' }, DESIGN)).toBe(
      '/api/designs/a/files/counts.csv?save=',
    );
  });

  it('has a name that every file system takes', () => {
    expect(fileName('Tea/room: “check” <1>', 'png')).toBe('Tea-room- “check” -1-.png');
  });

  it('is shown shrunk to its room, or enlarged by a whole number', () => {
    expect(fitScale({ width: 3600, height: 1800 }, { width: 900, height: 900 })).toBe(0.25);
    expect(fitScale({ width: 100, height: 50 }, { width: 350, height: 900 })).toBe(3);
    expect(fitScale({ width: 2, height: 2 }, { width: 900, height: 900 })).toBe(12);
  });
});
