import { describe, expect, it } from 'vitest';
import { SAMPLE, sampleDesign } from '../../../tests/sample-design.ts';
import { checkDesign, proveNumbers } from '../design/check-design.ts';
import { compileUnit } from '../design/compile-design.ts';
import { pitchOf } from '../design/lay/lay-schema.ts';
import { rational, toNumber, toText } from '../exact/rational.ts';
import { nearFraction, root, surd } from '../exact/surd.ts';
import { paintRoll } from '../paint/paint-roll.ts';
import { checkRepeat } from './check-repeat.ts';
import { closeNumbers } from './contents.ts';
import { fittingResolutions } from './fitting-resolutions.ts';
import { pixelFits, ratioFits } from './pixel-fit.ts';
import { type RepeatUnit, repeatSize, straightUnit } from './repeat-unit.ts';

const UNIT = compileUnit(sampleDesign(SAMPLE));

function withLattice(width: number, shear: number, height: number): RepeatUnit {
  return {
    ...UNIT,
    lattice: [
      { x: rational(width), y: rational(shear) },
      { x: rational(0), y: rational(height) },
    ],
  };
}

describe('closeNumbers', () => {
  it('holds for the lattice that was compiled', () => {
    expect(UNIT.content.width).toBe(24);
    expect(closeNumbers(UNIT)).toEqual({
      kind: 'cells',
      closed: true,
      compared: 576,
      differing: [0, 0],
      misses: 0,
    });
  });

  it.each([
    ['a repeat too short', withLattice(12, 0, 24)],
    ['a drop that the pattern does not have', withLattice(24, 5, 24)],
    ['a vector of half a thread', withLattice(24, 0, 24)],
  ])('fails for %s', (name, unit) => {
    const half = name.includes('half');
    const tried = half
      ? { ...unit, lattice: [{ x: rational(49, 2), y: rational(0) }, unit.lattice[1]] as const }
      : unit;
    const proof = closeNumbers(tried);
    expect(proof.closed).toBe(false);
    expect(proof.kind === 'cells' && proof.differing[0]).toBeGreaterThan(0);
    expect(proof.kind === 'cells' && proof.differing[1]).toBe(0);
  });

  it('is asked of the smallest repeat: bands of one shade in plain weave come round after two', () => {
    const plain = compileUnit(sampleDesign('warp: A4 A4\nweave: plain'));
    expect(plain.content.width).toBe(2);
    expect(closeNumbers(plain)).toMatchObject({ closed: true, compared: 4 });
  });
});

describe('checkRepeat', () => {
  it('is Exact when the repeat is whole pixels', () => {
    const report = checkDesign(sampleDesign(SAMPLE));
    expect(report.verdict).toBe('Exact');
    expect(report.pixels.fits[0]).toMatchObject({ width: 300, height: 300 });
    expect(report.pixels.crisp).toBe(false);
    expect(report.painted).toEqual({
      width: 300,
      height: 300,
      comparedBytes: 360_000,
      differingBytes: 0,
      leakingPixels: null,
    });
  });

  it('is Fitted, by how much, when it is not, and offers resolutions that are', () => {
    const other = checkDesign(sampleDesign(SAMPLE.replace('24/in', '25/in')), { resolution: '301' });
    expect(other.verdict).toBe('Fitted');
    expect(toText(other.pixels.exact!.width)).toBe('7224/25');
    expect(toText(other.pixels.fits[0]!.errorX)).toBe('1/7224');
    expect(other.offers.map(({ dpi, whole }) => `${toText(dpi)} ${whole}`)).toEqual([
      '300 threads',
      '325 threads',
      '7225/24 repeat',
    ]);
    for (const offer of other.offers) {
      const taken = checkDesign(sampleDesign(SAMPLE.replace('24/in', '25/in')), {
        resolution: toText(offer.dpi),
      });
      expect(taken.verdict).toBe('Exact');
      expect(taken.pixels.fits[0]).toMatchObject({ width: offer.width, height: offer.height });
    }
  });

  it('is Open when the repeat vanishes, or has more pixels than a file holds', () => {
    expect(checkDesign(sampleDesign(SAMPLE), { resolution: '1/100' })).toMatchObject({
      verdict: 'Open',
      open: 'pixels-vanish',
    });
    const wide = sampleDesign('warp: A90000 B9999\nweave: plain\ndensity: 1/in');
    expect(checkDesign(wide, { resolution: '600' })).toMatchObject({
      verdict: 'Open',
      open: 'pixels-too-many',
      painted: null,
    });
  });

  it('is Open when the lattice does not carry the pattern', () => {
    const report = checkRepeat(withLattice(12, 0, 24), rational(300), paintRoll);
    expect(report).toMatchObject({ verdict: 'Open', open: 'numbers' });
  });

  it('is Open when the cells close but the sequences do not: a repeat compiled too short', () => {
    const rows = UNIT.content.rows.map((row) => row.slice(0, 12));
    const short = straightUnit({ ...UNIT.content, width: 12, rows }, pitchOf(sampleDesign(SAMPLE).lay));
    expect(closeNumbers(short).closed).toBe(true);
    const numbers = proveNumbers(sampleDesign(SAMPLE), short);
    expect(numbers).toMatchObject({ closed: false, differing: [0, 0], misses: 16 });
    expect(checkRepeat(short, rational(300), paintRoll, numbers)).toMatchObject({
      verdict: 'Open',
      open: 'numbers',
    });
  });

  it('is Open without an upright repeat, when painting twice differs, and when faces let a ground through', () => {
    expect(checkRepeat({ ...UNIT, repeat: null }, rational(300), paintRoll)).toMatchObject({
      verdict: 'Open',
      open: 'no-repeat',
      size: null,
    });
    const broken = (differingBytes: number, leakingPixels: number) =>
      checkRepeat(UNIT, rational(300), (_, tile) => ({
        ...tile,
        comparedBytes: 4,
        differingBytes,
        leakingPixels,
      }));
    expect(broken(1, 0)).toMatchObject({ verdict: 'Open', open: 'painted' });
    expect(broken(0, 1)).toMatchObject({ verdict: 'Open', open: 'leaks' });
    expect(broken(0, 0).open).toBeUndefined();
  });
});

describe('pixelFits', () => {
  it('leads with the nearest size and keeps the ratio better further on', () => {
    const fits = pixelFits({ width: rational(7203, 10), height: rational(4321, 7) }, 5);
    expect(fits[0]).toMatchObject({ width: 720, height: 617 });
    for (const fit of fits) {
      const ratio = fit.height / fit.width / (4321 / 7 / 720.3) - 1;
      expect(Number(fit.errorRatio.n) / Number(fit.errorRatio.d)).toBeCloseTo(ratio, 12);
    }
  });

  it('has nothing to offer for what is smaller than half a pixel', () => {
    expect(pixelFits({ width: rational(1, 3), height: rational(5) }, 4)).toEqual([]);
  });
});

describe('ratioFits', () => {
  const exact = { width: rational(720), height: nearFraction(root(rational(720), 3)) };

  it('lead with the nearest size, and keep the ratio ever better', () => {
    const fits = ratioFits(exact, rational(300));
    // trade.md: 1247 px is −61 ppm.
    expect(fits[0]).toMatchObject({ width: 720, height: 1247, dpi: rational(300) });
    expect(toNumber(fits[0]!.errorRatio) * 1e6).toBeCloseTo(-61.4, 1);
    for (const [at, fit] of fits.entries()) {
      expect(toNumber(fit.errorRatio)).toBeCloseTo(fit.height / fit.width / Math.sqrt(3) - 1, 12);
      if (at === 0) continue;
      expect(Math.abs(toNumber(fit.errorRatio))).toBeLessThan(Math.abs(toNumber(fits[at - 1]!.errorRatio)));
    }
  });

  it('have the best whole-number ratios of √3, each near the size that there is', () => {
    // Source for the ratio 1351/780: T. L. Heath, The Works of Archimedes, 1897.
    const best = ratioFits(exact, rational(300)).find(({ width }) => width === 780)!;
    expect(best.height).toBe(1351);
    // +0.27 ppm; the resolution grows by 780/720.
    expect(toNumber(best.errorRatio) * 1e6).toBeCloseTo(0.27, 2);
    expect(best.dpi).toEqual(rational(325));
  });

  it('have whole resolutions where the present one is whole, each nearer than better ones', () => {
    const odd = { width: rational(7203, 10), height: nearFraction(root(rational(7203, 10), 3)) };
    const whole = ratioFits(odd, rational(300)).filter(({ dpi }) => dpi.d === 1n);
    expect(whole.length).toBeGreaterThan(2);
    for (const { width, height, dpi } of whole) {
      expect(width).toBe(Math.round((720.3 * Number(dpi.n)) / 300));
      expect(height).toBe(Math.round((720.3 * Math.sqrt(3) * Number(dpi.n)) / 300));
    }
    const broken = ratioFits(odd, rational(601, 2));
    expect(broken.slice(1).every(({ dpi }) => dpi.d !== 1n)).toBe(true);
  });

  it('of a ratio that is whole is one', () => {
    expect(ratioFits({ width: rational(300), height: rational(600) }, rational(300))).toEqual([
      { width: 300, height: 600, errorRatio: rational(0), dpi: rational(300) },
    ]);
  });
});

describe('resolutions that come out whole', () => {
  it('are whole themselves where the present one is', () => {
    // A thread of 0.3 mm is whole pixels at the multiples of 254/3 dpi; every third is whole.
    const unit = { ...UNIT, pitch: { x: surd(rational(3, 10)), y: surd(rational(3, 10)) } };
    const offered = fittingResolutions(unit, rational(300)).filter(({ whole }) => whole === 'threads');
    expect(offered.map(({ dpi }) => toText(dpi)).sort()).toEqual(['1016/3', '254', '508']);
    for (const { perStep } of offered) expect(perStep.x.d).toBe(1n);
    const between = fittingResolutions(unit, rational(601, 2)).filter(({ whole }) => whole === 'threads');
    expect(between.map(({ dpi }) => toText(dpi)).sort()).toEqual(['1016/3', '254']);
  });
});

describe('repeatSize', () => {
  it('is exact in millimetres', () => {
    expect(repeatSize(UNIT)).toEqual({ width: root(rational(254, 10)), height: root(rational(254, 10)) });
    expect(repeatSize({ ...UNIT, repeat: null })).toBeNull();
  });
});
