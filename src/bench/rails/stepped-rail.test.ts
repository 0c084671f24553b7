import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { someStripe } from '../../../tests/sample-design.ts';
import type { StripeDesign } from '../../core/design/design-schema.ts';
import { designFromText } from '../../core/design/exchange/counts-text.ts';
import { formatBandWidths } from '../../core/design/exchange/write-stripe-text.ts';
import { asKind } from '../../core/design/of-kind.ts';
import { stepOf, steppedSequence } from '../../core/design/stripe/stepped-bands.ts';
import { toText } from '../../core/exact/rational.ts';
import { slope } from '../../core/exact/slope.ts';
import { typedThreads } from '../../core/thread/band.ts';
import { setCount, splitBand, tradeThreads } from '../../core/thread/edit-bands.ts';
import { editBands, measuresOf, railsOf, setMirror, setWidth } from '../state/band-edits.ts';
import { changing } from '../state/design-edits.ts';
import { axisOfStripe, type RailAxis, threadsAt } from './rail-geometry.ts';
import { wordsOf } from './rail-words.ts';

function stripe(bands: string, ...more: readonly string[]): StripeDesign {
  return asKind('stripe', designFromText([`stripe: ${bands}`, ...more].join('\n'), 'Stripe'));
}

function widths(design: ReturnType<ReturnType<typeof editBands>>): string {
  return formatBandWidths(asKind('stripe', design).construction);
}

describe('the steps of a stripe’s rail', () => {
  it.each([
    ['A14 B6', '1'],
    ['A12.5 B6', '1/2'],
    ['A1/3 B0.25', '1/12'],
    ['A1in B4.6', '1/5'],
  ])('%s are the largest in which all widths are whole: %s', (bands, step) => {
    expect(toText(stepOf(stripe(bands)))).toBe(step);
  });

  it('are coarser where widths are so fine that nobody could count them', () => {
    const design = stripe('A33.333333 B1000');
    const { bands, step } = steppedSequence(design);
    expect(typedThreads(bands)).toBeLessThanOrEqual(50_000);
    expect(toText(step)).toBe('1/10');
  });

  it('leave every width that is not touched as it was typed', () => {
    fc.assert(
      fc.property(someStripe, (design) => {
        expect(setMirror('warp', design.construction.mirror)(design)).toBe(design);
        const changed = editBands('warp', (bands) => setCount(bands, 0, bands[0]!.count + 1))(design);
        const after = asKind('stripe', changed).construction.bands;
        expect(after.slice(1)).toEqual(design.construction.bands.slice(1));
      }),
    );
  });
});

describe('a stripe edited on its rail', () => {
  it('takes widths back in its unit, as decimals or fractions', () => {
    const design = stripe('A12.5 B6');
    expect(widths(editBands('warp', (bands) => setCount(bands, 1, 13))(design))).toBe('A12.5 B6.5');
    const thirds = stripe('A1/3 B1');
    expect(widths(editBands('warp', (bands) => setCount(bands, 1, 4))(thirds))).toBe('A1/3 B4/3');
  });

  it('is traded and split like threads', () => {
    const design = stripe('A14 B6');
    expect(widths(editBands('warp', (bands) => tradeThreads(bands, 0, 1, 2))(design))).toBe('A16 B4');
    expect(widths(editBands('warp', (bands) => splitBand(bands, 0))(design))).toBe('A7 A7 B6');
  });

  it('is the same design when the same width is typed, and keeps another as it was typed', () => {
    const design = stripe('A12.5 B6');
    expect(setWidth(0, '12.5')(design)).toBe(design);
    expect(widths(setWidth(0, '1/2in')(design))).toBe('A1/2in B6');
    expect(() => setWidth(0, '1')(designFromText('warp: A4 B2', 'Plaid'))).toThrow('expected widths');
  });

  it('tells its measures; what is counted in threads has none', () => {
    const measures = measuresOf(stripe('A12.5 B6', 'slope: 3/4'))!;
    expect([measures.unit, toText(measures.step), measures.widthOf(1)]).toEqual(['mm', '1/2', '6']);
    expect(measures.slope).toEqual(slope(3, 4));
    expect(measuresOf(designFromText('warp: A4 B2', 'Plaid'))).toBeUndefined();
  });

  it('has its rail where its lines run into an edge', () => {
    const design = stripe('A14 B6');
    expect(railsOf(design)).toEqual(['warp']);
    expect(railsOf(changing('stripe', () => ({ slope: slope(0, 1) }))(design))).toEqual(['weft']);
    expect(railsOf(changing('stripe', () => ({ slope: slope(-2, 3) }))(design))).toEqual(['warp']);
  });

  it('is written in its own words', () => {
    const words = wordsOf(stripe('A12.5 B1in'));
    const { bands } = steppedSequence(stripe('A12.5 B1in'));
    expect(bands.map(words.countText)).toEqual(['12.5', '1in']);
    expect(bands.map(words.amountText)).toEqual(['12.5 mm', '1in']);
    expect(words.perKey).toBe(10);
    expect(wordsOf(stripe('A4 B2', 'unit: thread')).amountText({ shade: 'A', count: 4 })).toBe('4 threads');
  });
});

describe('the axis of a sloping stripe', () => {
  const place = {
    direction: 'warp' as const,
    camera: { x: 100, y: 300, perEnd: 2 },
    repeat: { ends: 50, picks: 25 },
    view: { width: 600, height: 400 },
    geometry: { tile: { width: 100, height: 50 }, stepX: 2, stepY: 2 },
    threads: 20,
  };

  /** Steps beyond the nearest start of a period. */
  function inPeriod(axis: RailAxis, at: number): number {
    const steps = threadsAt(axis, at);
    return steps - Math.round(steps / 20) * 20;
  }

  it('meets the edge of the view a way along its lines from the corner of the repeat', () => {
    // 300 pixels up are six repeats, so the lines have come six repeats to the right: the same place again.
    expect(inPeriod(axisOfStripe(place, slope(1, 2)), 300)).toBeCloseTo(0);
    const higher = { ...place, camera: { ...place.camera, y: 325 } };
    expect(inPeriod(axisOfStripe(higher, slope(1, 2)), 350)).toBeCloseTo(0);
    expect(inPeriod(axisOfStripe(higher, slope(-1, 2)), 350)).toBeCloseTo(0);
    const quarter = { ...place, camera: { ...place.camera, y: 312.5 } };
    expect(inPeriod(axisOfStripe(quarter, slope(1, 2)), 325)).toBeCloseTo(0);
    expect(inPeriod(axisOfStripe(quarter, slope(-1, 2)), 275)).toBeCloseTo(0);
  });

  it('holds the middle of the view', () => {
    const at = threadsAt(axisOfStripe(place, slope(1, 2)), 300.1);
    expect(at).toBeGreaterThanOrEqual(0);
    expect(at).toBeLessThan(20);
  });
});
