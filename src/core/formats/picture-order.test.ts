import { describe, expect, it } from 'vitest';
import { SAMPLE, sampleDesign } from '../../../tests/sample-design.ts';
import { compile } from '../design/compile-design.ts';
import { rational, toText } from '../exact/rational.ts';
import { orderPicture, parsePerStep, parseSheet } from './picture-order.ts';

const UNIT = compile(sampleDesign(SAMPLE));

describe('orderPicture', () => {
  it('gives one repeat at a resolution, to the nearest pixel', () => {
    expect(orderPicture(UNIT, { dpi: rational(72) }, undefined)).toEqual({
      tile: { width: 72, height: 72 },
      width: 72,
      height: 72,
      pixelsPerMetre: { x: 2835, y: 2835 },
    });
  });

  it('gives whole pixels a thread, and says what resolution that is', () => {
    const order = orderPicture(UNIT, { perStep: 4 }, undefined);
    expect(order).toMatchObject({ width: 96, height: 96, pixelsPerMetre: { x: 3780, y: 3780 } });
  });

  it('gives a sheet that need not hold whole repeats', () => {
    const sheet = parseSheet('300 x 200 mm', 'mm');
    const order = orderPicture(UNIT, { dpi: rational(150) }, sheet);
    expect(order).toMatchObject({ tile: { width: 150, height: 150 }, width: 1772, height: 1181 });
  });

  it('takes 3 m at 600 dpi and refuses more than a file holds', () => {
    const large = parseSheet('3000mm', 'mm');
    expect(orderPicture(UNIT, { dpi: rational(600) }, large).width).toBe(70_866);
    expect(() => orderPicture(UNIT, { dpi: rational(1200) }, large)).toThrow('send/too-large');
    expect(() => orderPicture(UNIT, { dpi: rational(1, 100) }, undefined)).toThrow('send/vanishes');
    expect(() => orderPicture({ ...UNIT, repeat: null }, { dpi: rational(300) }, undefined)).toThrow(
      'svg/no-repeat',
    );
  });
});

describe('parseSheet', () => {
  it.each([
    ['12inx12in', 'mm', '1524/5', '1524/5'],
    ['300 x 200 mm', 'in', '300', '200'],
    ['30 × 20', 'cm', '300', '200'],
    ['54"', 'mm', '6858/5', '6858/5'],
    ['1/2in x 1 1/2in', 'mm', '127/10', '381/10'],
  ] as const)('%s is %s', (text, unit, width, height) => {
    const sheet = parseSheet(text, unit);
    expect([toText(sheet.width), toText(sheet.height)]).toEqual([width, height]);
  });

  it.each([
    ['', 'send/size'],
    ['12in x', 'send/size'],
    ['1x2x3', 'send/size'],
    ['0 x 5', 'length/not-positive'],
    ['wide', 'number/syntax'],
  ])('refuses %j', (text, code) => {
    expect(() => parseSheet(text, 'mm')).toThrow(expect.objectContaining({ code }));
  });
});

describe('parsePerStep', () => {
  it('takes arithmetic that comes to a whole number', () => {
    expect(parsePerStep('2*6')).toBe(12);
  });

  it.each(['0', '-1', '2.5', '201'])('refuses %s', (text) => {
    expect(() => parsePerStep(text)).toThrow('send/per-thread');
  });
});
