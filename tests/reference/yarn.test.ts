import { describe, expect, it } from 'vitest';
import { settingFacts } from '../../src/core/design/setting-facts.ts';
import { warpingOrder, yarnNeeds } from '../../src/core/design/yarn.ts';
import { rational, toDecimal, toNumber, toText } from '../../src/core/exact/rational.ts';
import {
  clothCover,
  coverFactor,
  diametersPerInch,
  firmnessOf,
  settingShare,
} from '../../src/core/thread/setting.ts';
import { buildWeave } from '../../src/core/thread/weaves/build-weave.ts';
import { parseWeave } from '../../src/core/thread/weaves/weave-text.ts';
import { fromTex, parseYarnCount, toTex, YARN_SYSTEMS } from '../../src/core/units/yarn-count.ts';
import { sampleDesign } from '../sample-design.ts';

describe('yarn counts (ISO 1144 for tex; Ne, Nm, denier and worsted as the trade converts them)', () => {
  it.each([
    ['Nm', 1000, 1],
    ['Ne', 590.5, 1],
    ['denier', 1, 9],
    ['worsted', 885.8, 1],
    ['dtex', 1, 10],
  ] as const)('%s: %d over tex, or %d times', (system, over, times) => {
    const tex = 20;
    const expected = times > 1 ? tex * times : over / tex;
    expect(toNumber(fromTex(rational(tex), system)) / expected).toBeCloseTo(1, 3);
  });

  it('convert there and back exactly', () => {
    for (const system of YARN_SYSTEMS) {
      const tex = toTex(parseYarnCount('18.5', 'tex'), 'tex');
      expect(toText(toTex(fromTex(tex, system), system))).toBe('37/2');
    }
  });

  it.each([
    // 590.5 / 15, as the trade's tables have it for cotton of two plies of 30.
    ['30/2', 'Ne', 39.37],
    ['2/30', 'Ne', 39.37],
    ['2/30', 'worsted', 59.06],
    ['2/28', 'Nm', 71.43],
    ['28/2', 'Nm', 71.43],
    ['8/4', 'Ne', 295.3],
    ['2/20', 'tex', 40],
    ['20/2', 'tex', 40],
    ['150/2', 'denier', 33.33],
    ['(37/2)', 'tex', 18.5],
  ] as const)('%s %s is %d tex, plies by the custom of the trade', (text, system, tex) => {
    expect(toNumber(toTex(parseYarnCount(text, system), system)) / tex).toBeCloseTo(1, 3);
  });

  it.each(['0', '-3', '200000', 'thick'])('refuses %s', (text) => {
    expect(() => parseYarnCount(text, 'tex')).toThrow();
  });
});

describe('yarn of a piece (common practice of the trade)', () => {
  const plan = { width: '25 in', length: '50 m', takeUp: '0', crimp: '0', waste: '0', selvedge: 0 };
  const counts = {
    warp: { count: '20', system: 'tex' as const },
    weft: { count: '20', system: 'tex' as const },
  };

  it('600 ends of 20 tex, warp 50 m: 600 × 50 × 20/1000 = 600 g', () => {
    const design = {
      ...sampleDesign('warp: A4 B2\nweave: plain\ndensity: 24/in'),
      yarn: { ...plan, ...counts },
    };
    const warp = yarnNeeds(design).filter(({ direction }) => direction === 'warp');
    expect(warp.map(({ threads }) => threads)).toEqual([400, 200]);
    expect(warp.reduce((sum, { grams }) => sum + toNumber(grams), 0)).toBe(600);
  });

  it('take-up, waste and crimp lengthen the threads; selvedges add ends', () => {
    const yarn = { ...plan, ...counts, takeUp: '10 %', waste: '3 m', crimp: '4 %', selvedge: 20 };
    const design = { ...sampleDesign('warp: A1\nweave: plain\ndensity: 24 x 20/in'), yarn };
    const [warp, weft] = yarnNeeds(design);
    expect(warp).toMatchObject({ threads: 620 });
    // 50 m and a tenth of it and 3 m.
    expect(toDecimal(warp!.metres, 3)).toBe(String(620 * 58));
    expect(weft!.threads).toBe(Math.round((50_000 / 25.4) * 20));
    expect(toNumber(weft!.metres)).toBeCloseTo(weft!.threads * 0.635 * 1.04, 6);
  });

  it('the warp is wound run after run, the last one cut where the width ends', () => {
    const design = {
      ...sampleDesign('warp: A4 B2\nweave: plain\ndensity: 10/cm'),
      yarn: { ...plan, ...counts, width: '1.5 cm' },
    };
    expect(warpingOrder(design).map(({ shade, count }) => `${shade.key}${count}`)).toEqual([
      'A4',
      'B2',
      'A4',
      'B2',
      'A3',
    ]);
  });
});

describe('setting (T. R. Ashenhurst 1884; F. T. Peirce, J. Textile Inst. 28 (1937) T45; from memory)', () => {
  it.each([
    ['plain', '1/2'],
    ['2/2Z', '2/3'],
    ['satin 5/2', '5/7'],
    ['hopsack 2', '2/3'],
  ])('%s takes %s of the diameters that lie side by side', (text, share) => {
    const { ends, picks } = firmnessOf(buildWeave(parseWeave(text)));
    expect(toText(settingShare(ends))).toBe(share);
    expect(toText(settingShare(picks))).toBe(share);
  });

  it('a cover factor of 28 both ways covers wholly, and 14 each 21', () => {
    expect(clothCover(28, 28)).toBe(28);
    expect(clothCover(14, 14)).toBe(21);
    expect(coverFactor(diametersPerInch(16), 16)).toBe(28);
  });

  it('is told of a design in its own yarn: Ne 16 in plain weave, 56 a inch', () => {
    const design = sampleDesign('warp: A1\nweave: plain\ndensity: 28/in');
    const yarn = {
      ...design.yarn,
      warp: { count: '16', system: 'Ne' as const },
      weft: { count: '16', system: 'Ne' as const },
    };
    const facts = settingFacts({ ...design, yarn });
    expect(facts.warp.suggested).toBeCloseTo(56, 9);
    expect(facts.warp.cover).toBeCloseTo(7, 9);
    expect(facts.cloth).toBeCloseTo(7 + 7 - 49 / 28, 9);
  });
});
