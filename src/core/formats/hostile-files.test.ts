import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sampleDesign } from '../../../tests/sample-design.ts';
import { compile } from '../design/compile-design.ts';
import { designFromText } from '../design/exchange/counts-text.ts';
import { designFromWif } from '../design/exchange/wif-design.ts';
import { designToWif } from '../design/exchange/write-file.ts';
import { readDesign, readDesignText, writeDesignText } from '../design/read-design.ts';
import { isDeep } from './json-depth.ts';
import { escapeXml } from './svg/escape-xml.ts';
import { unitToSvg } from './svg/unit-svg.ts';
import { readWif } from './wif/read-wif.ts';

const WIF = '[WIF]\nVersion=1.1\n[THREADING]\n1=1\n2=2\n[TIEUP]\n1=1\n2=2\n[TREADLING]\n1=1\n2=2\n';

describe('weave files that mean harm', () => {
  it.each([
    ['a colour of number 999 999 999', `${WIF}[COLOR TABLE]\n999999999=0,0,0\n`, 'wif/range'],
    ['a shaft of number 999 999 999', WIF.replace('2=2\n[TIEUP]', '2=999999999\n[TIEUP]'), 'wif/range'],
    ['an end of number 999 999 999', WIF.replace('2=2\n[TIEUP]', '999999999=2\n[TIEUP]'), 'wif/range'],
    ['a treadle of number 999 999 999', WIF.replace(/2=2\n$/, '2=999999999\n'), 'wif/range'],
    ['no shafts', `${WIF}[WEAVING]\nShafts=0\n`, 'wif/too-small'],
  ])('with %s are refused at once', (_, text, code) => {
    expect(() => readWif(text)).toThrow(expect.objectContaining({ code }));
  });

  it('with sections that are called as methods are keep them as any other', () => {
    const names = ['constructor', '__proto__', 'toString'];
    const text = WIF + names.map((name) => `[${name}]\na=b\n`).join('');
    expect(readWif(text).kept.map(({ section }) => section)).toEqual(names);
    expect(designToWif(designFromWif(text, 'x'))).toContain('[__proto__]');
  });
});

describe('densities', () => {
  it('come back from a weave file as they were', () => {
    const density = fc.oneof(
      fc.integer({ min: 1, max: 400 }).map(String),
      fc
        .tuple(fc.integer({ min: 1, max: 999 }), fc.integer({ min: 2, max: 24 }))
        .map(([n, d]) => `${n}/${d}`),
      fc.integer({ min: 100, max: 9999 }).map((hundredths) => (hundredths / 100).toFixed(2)),
    );
    fc.assert(
      fc.property(density, density, fc.constantFrom('in', 'cm'), (ends, picks, per) => {
        const design = sampleDesign(`warp: A4 B2\ndensity: ${ends} x ${picks} / ${per}`);
        const { lay } = designFromWif(designToWif(design), 'x');
        const [e, p] = [lay.ends, lay.picks].map(
          (text) => sampleDesign(`A1\ndensity: ${text}/${per}`).lay.ends,
        );
        const value = (text: string) =>
          text
            .split('/')
            .map(Number)
            .reduce((n, d) => n / d);
        expect(value(e!)).toBeCloseTo(value(ends), 10);
        expect(value(p!)).toBeCloseTo(value(picks), 10);
      }),
      { numRuns: 60 },
    );
  });
});

describe('JSON that is nested deep', () => {
  it('is refused before it is parsed', () => {
    const deep = `${'['.repeat(1_000_000)}${']'.repeat(1_000_000)}`;
    expect(() => readDesignText(deep.slice(0, 1_900_000))).toThrow('design/deep');
    expect(isDeep('{"a":[{"b":"[[[[\\"[["}]}', 3)).toBe(false);
    expect(isDeep('[[[[]]]]', 3)).toBe(true);
  });

  it('no design is nearly as deep as the limit', () => {
    expect(isDeep(writeDesignText(sampleDesign('A4 B4')), 12)).toBe(false);
  });
});

describe('names that no file can hold', () => {
  const named = (name: string) => readDesign({ ...sampleDesign('warp: A4 B4'), name });

  it.each(['two\nlines', 'nul \u0000 here', 'lone \ud800', 'form\u000cfeed', 'para\u2029graph'])(
    'such as %j are made such that all can',
    (name) => {
      const design = named(name);
      expect(design.name).not.toMatch(/[\p{Cc}\p{Cs}\p{Zl}\p{Zp}]/u);
      expect(designFromWif(designToWif(design), 'x').name).toBe(design.name);
      const svg = unitToSvg(compile(design), name).replaceAll('\n', '');
      expect(svg).not.toMatch(/[\p{Cc}\p{Cs}]/u);
      expect(() => encodeURIComponent(design.name)).not.toThrow();
    },
  );

  it('are written into XML without what it cannot hold', () => {
    expect(escapeXml('a\u0001<b>')).toBe('a &lt;b&gt;');
  });

  it('are told as empty in words', () => {
    expect(() => named('  ')).toThrow(
      expect.objectContaining({
        facts: expect.objectContaining({ path: 'name', problem: 'schema/too_small' }),
      }),
    );
  });
});

describe('pivots', () => {
  it('that are doubled where no band is marked are refused, not passed over', () => {
    expect(() => designFromText('warp: A4 B4\npivots: doubled', 'x')).toThrow('counts/no-pivots');
    expect(() => designFromText('stripe: A4 B4\npivots: doubled', 'x')).toThrow('counts/no-pivots');
    expect(designFromText('warp: A/4 B/4\npivots: doubled', 'x').name).toBe('x');
  });
});
