import { describe, expect, it } from 'vitest';
import { SAMPLE, sampleDesign } from '../../../tests/sample-design.ts';
import { designFromStart } from '../../core/design/starts.ts';
import { rational } from '../../core/exact/rational.ts';
import { addressOf, readWish, type SendWish, savedName } from './send-store.ts';
import { fitScale } from './use-send-preview.ts';

const DESIGN = sampleDesign(SAMPLE);
const STORED = { id: 'a', version: 7 };
const WISH: SendWish = {
  file: 'png',
  what: 'tile',
  scale: 'dpi',
  perThread: '4',
  size: '300 x 200 mm',
  across: '2',
  down: '3',
  underlap: '',
  flatten: false,
  mixing: 'light',
  drawn: 'flat',
  colourway: '',
};

describe('what is to be sent', () => {
  it('is flattened where it blends, and nowhere else', () => {
    const flat: SendWish = { ...WISH, file: 'svg', flatten: true };
    expect(addressOf(STORED, flat, designFromStart('plies', 'crossed-stripes'))).toContain(
      'flatten=&dpi=300',
    );
    expect(addressOf(STORED, flat, DESIGN)).not.toContain('flatten');
  });

  it('is read in numbers, or told in words', () => {
    expect(readWish(WISH, DESIGN)).toEqual({
      value: { scale: { dpi: rational(300) }, sheet: undefined },
    });
    expect(readWish({ ...WISH, scale: 'thread', perThread: '2*3' }, DESIGN)).toMatchObject({
      value: { scale: { perStep: 6 } },
    });
    expect(readWish({ ...WISH, what: 'size' }, DESIGN)).toMatchObject({
      value: { sheet: { kind: 'size', size: { width: rational(300), height: rational(200) } } },
    });
    expect(readWish({ ...WISH, what: 'repeats' }, DESIGN)).toMatchObject({
      value: { sheet: { kind: 'repeats', repeats: { across: 2, down: 3 } } },
    });
    expect(readWish({ ...WISH, what: 'size', size: '600 x 300 px' }, DESIGN)).toMatchObject({
      value: { sheet: { size: { width: rational(508, 10), height: rational(254, 10) } } },
    });
    expect(readWish({ ...WISH, what: 'size', size: 'large' }, DESIGN)).toEqual({
      problem: '“large” is not a number. Write one such as 24, 0.35, 3/4 or 2*12.',
    });
  });

  it('has an address that says it all', () => {
    expect(addressOf(STORED, WISH, DESIGN)).toBe('/api/designs/a/files/tile.png?save=&v=7&dpi=300');
    expect(addressOf(STORED, { ...WISH, scale: 'thread', what: 'size' }, DESIGN)).toBe(
      '/api/designs/a/files/tile.png?save=&v=7&perThread=4&size=300+x+200+mm',
    );
    expect(addressOf(STORED, { ...WISH, drawn: 'finished' }, DESIGN)).toBe(
      '/api/designs/a/files/tile.png?save=&v=7&dpi=300&drawn=finished',
    );
    expect(addressOf(STORED, { ...WISH, colourway: 'Night' }, DESIGN)).toBe(
      '/api/designs/a/files/tile.png?save=&v=7&dpi=300&colourway=Night',
    );
    expect(addressOf(STORED, { ...WISH, file: 'csv', what: 'size' }, DESIGN)).toBe(
      '/api/designs/a/files/counts.csv?save=&v=7',
    );
  });

  it('has the same name as the server gives it', () => {
    const named = { ...DESIGN, name: 'Tea/room' };
    expect(savedName({ ...WISH, what: 'repeats', colourway: 'Night' }, named)).toBe(
      'Tea-room Night sheet.png',
    );
    expect(savedName({ ...WISH, file: 'paper', what: 'repeats' }, named)).toBe('Tea-room point paper.png');
  });

  it('is shown shrunk to its room, or enlarged by a whole number', () => {
    expect(fitScale({ width: 3600, height: 1800 }, { width: 900, height: 900 })).toBe(0.25);
    expect(fitScale({ width: 100, height: 50 }, { width: 350, height: 900 })).toBe(3);
    expect(fitScale({ width: 2, height: 2 }, { width: 900, height: 900 })).toBe(12);
  });
});
