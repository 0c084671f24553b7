import { describe, expect, it } from 'vitest';
import { ELEVENTH, SAMPLE, sampleDesign } from '../../../tests/sample-design.ts';
import { compile } from '../design/compile-design.ts';
import { rational, toText } from '../exact/rational.ts';
import { orderPicture, parsePerStep, wholeBlocks } from './picture-order.ts';
import { parseRepeats, parseSheet } from './sheet.ts';

/** Millimetres of a pixel at 300 dpi, each way. */
const PIXEL = { x: rational(127, 1500), y: rational(127, 1500) };

const UNIT = compile(sampleDesign(SAMPLE));

describe('orderPicture', () => {
  it('gives one repeat at a resolution, to the nearest pixel', () => {
    expect(orderPicture(UNIT, { dpi: rational(72) }, undefined)).toMatchObject({
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
    const sheet = parseSheet('300 x 200 mm', 'mm', PIXEL);
    const order = orderPicture(UNIT, { dpi: rational(150) }, sheet);
    expect(order).toMatchObject({ tile: { width: 150, height: 150 }, width: 1772, height: 1181 });
  });

  it('takes 3 m at 600 dpi and refuses more than a file holds', () => {
    const large = parseSheet('3000mm', 'mm', PIXEL);
    expect(orderPicture(UNIT, { dpi: rational(600) }, large).width).toBe(70_866);
    expect(() => orderPicture(UNIT, { dpi: rational(12_000) }, large)).toThrow('send/too-large');
    expect(() => orderPicture(UNIT, { dpi: rational(1, 100) }, undefined)).toThrow('send/vanishes');
    expect(() => orderPicture({ ...UNIT, repeat: null }, { dpi: rational(300) }, undefined)).toThrow(
      'svg/no-repeat',
    );
  });
});

const ELEVENTHS = compile(ELEVENTH);

describe('a sheet', () => {
  const dpi = { dpi: rational(300) };

  it('of whole repeats is fitted where it closes on whole pixels though one repeat does not', () => {
    const order = orderPicture(ELEVENTHS, dpi, parseRepeats('22 x 1'));
    expect(order).toMatchObject({ width: 7200, tile: { width: 3600 }, block: { across: 11, down: 1 } });
    expect(order.holds.x).toMatchObject({ whole: 22, off: rational(0) });
  });

  it('rounds each repeat where it does not, and says by how much', () => {
    const order = orderPicture(ELEVENTHS, dpi, parseRepeats('3 x 1'));
    expect(order).toMatchObject({ width: 3 * 327, tile: { width: 327 }, block: { across: 1 } });
    expect(toText(order.holds.x.off)).toBe('-9/11');
  });

  it('by size holds whole repeats, or says which sizes would', () => {
    const whole = orderPicture(ELEVENTHS, dpi, parseSheet('12in x 1in', 'mm', PIXEL));
    expect(whole.holds.x.whole).toBe(11);
    const cut = orderPicture(UNIT, dpi, parseSheet('90 x 120 mm', 'mm', PIXEL));
    expect(cut.holds.x.whole).toBeUndefined();
    // 90 mm are 3.54 repeats of 25.4 mm, 120 mm are 4.72.
    expect(wholeBlocks(cut)).toEqual([
      { across: 4, down: 5 },
      { across: 3, down: 4 },
    ]);
    expect(wholeBlocks(orderPicture(UNIT, dpi, parseSheet('80 x 120 mm', 'mm', PIXEL)))).toEqual([
      { across: 3, down: 5 },
      { across: 3, down: 4 },
      { across: 4, down: 5 },
    ]);
    expect(orderPicture(UNIT, dpi, parseSheet('2in', 'mm', PIXEL))).toMatchObject({
      width: 600,
      height: 600,
    });
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
