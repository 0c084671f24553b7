import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SAMPLE, sampleDesign, someDesign, someStripe } from '../../../../tests/sample-design.ts';
import type { Design, StripeDesign } from '../design-schema.ts';
import { asKind } from '../of-kind.ts';
import { threadsOfPlaid } from '../plaid/compile-plaid.ts';
import { designFromCsv } from './counts-csv.ts';
import { designFromText } from './counts-text.ts';
import { lossesOf } from './losses.ts';
import { designFromFile, fileKind } from './read-file.ts';
import { parseDensityPair } from './text-parts.ts';
import { designToCsv, designToText } from './write-file.ts';

const SAMPLE_DESIGN = sampleDesign(SAMPLE);

/** The colours along both sequences: what a table carries of a design. */
function colours(design: Design): readonly (readonly string[])[] {
  const { construction, shades } = asKind('plaid', design);
  const { warp, weft } = threadsOfPlaid(construction, shades);
  return [warp, weft].map((threads) => [...threads].map((index) => shades[index]!.hex));
}

describe('thread-count text', () => {
  it('carries the whole construction there and back', () => {
    fc.assert(
      fc.property(someDesign, (design) => {
        const { construction, lay, shades } = asKind('plaid', designFromText(designToText(design), 'x'));
        // The text does not say how an unmirrored weft would be mirrored, nor the unit that lengths are shown in.
        // Nor how it would be printed while it is woven.
        const { print } = design.construction.crossing === 'printed' ? design.construction : construction;
        expect(construction).toEqual({ ...design.construction, print });
        expect(lay).toMatchObject({ ends: design.lay.ends, picks: design.lay.picks, per: design.lay.per });
        expect(shades).toEqual(design.shades);
      }),
    );
  });

  it('counts the place of an error in the whole text', () => {
    const text = 'name: Sett\nwarp: A4 B0\n';
    expect(() => designFromText(text, 'x')).toThrow(
      expect.objectContaining({
        code: 'notation/count',
        facts: expect.objectContaining({ at: text.indexOf('0') }),
      }),
    );
  });

  it('gives letters without a colour one of their own', () => {
    const { shades } = designFromText('A4 B4 C4', 'Bare');
    expect(new Set(shades.map((shade) => shade.hex)).size).toBe(3);
  });

  it.each([
    ['24/in', { ends: '24', picks: '24', per: 'in' }],
    ['24 x 22 / CM', { ends: '24', picks: '22', per: 'cm' }],
    ['37/2 × 18/in', { ends: '37/2', picks: '18', per: 'in' }],
  ])('reads the density %s', (text, density) => {
    expect(parseDensityPair(text)).toEqual(density);
  });

  it.each([
    ['24', 'counts/density'],
    ['24/m', 'counts/density'],
    ['0/in', 'density/range'],
    ['x/in', 'number/syntax'],
  ])('refuses the density %s', (text, code) => {
    expect(() => parseDensityPair(text)).toThrow(expect.objectContaining({ code }));
  });

  it('keeps the strength of a print as it was typed', () => {
    const design = sampleDesign('warp: A4 B4\nprint: multiply 0.5 weft');
    expect(design.construction.print).toEqual({
      blend: 'multiply',
      strength: '0.5',
      top: 'weft',
      ground: null,
    });
    expect(designToText(design)).toContain('print: multiply 0.5 weft');
    const own = sampleDesign('warp: A4@60% B4\nprint: normal 1 warp on B');
    expect(own.construction.warp.bands[0]).toEqual({ shade: 'A', count: 4, strength: '60%' });
    expect(designToText(own)).toContain('print: normal 1 warp on B');
    expect(designToText(own)).toContain('warp: A4@60% B4');
  });

  it('refuses pivots of another convention', () => {
    expect(() => sampleDesign('warp: A/4 B/2\npivots: both')).toThrow('counts/pivots');
  });
});

describe('stripe text', () => {
  it('carries the whole construction there and back', () => {
    fc.assert(
      fc.property(someStripe, (design) => {
        const read = asKind('stripe', designFromText(designToText(design), 'x'));
        const tight = design.construction.bands.map((band) => ({
          ...band,
          width: band.width.replace(/\s/g, ''),
        }));
        expect(read.construction).toEqual({ ...design.construction, bands: tight });
        expect(read.shades).toEqual(design.shades);
      }),
    );
  });

  it.each([
    ['stripe: A12 B', 'notation/width'],
    ['stripe: A12 B-3', 'notation/width'],
    ['stripe: A12 B6\nunit: ell', 'stripe/unit'],
    ['stripe: A12 B6\nslope: 0/0', 'slope/none'],
    ['stripe: A12 B6\nslope: steep', 'slope/text'],
    ['stripe: A12 B6\nmeasured: sideways', 'stripe/measured'],
    ['stripe: A/12 B6 C4', 'notation/pivot-alone'],
  ])('refuses %j', (text, code) => {
    expect(() => designFromText(text, 'x')).toThrow(code);
  });

  it('counts the place of an error in the whole text', () => {
    const text = 'name: Blind\nstripe: A12 B6- x4\n';
    expect(() => designFromText(text, 'x')).toThrow(
      expect.objectContaining({ facts: expect.objectContaining({ at: text.indexOf('6-'), length: 2 }) }),
    );
  });

  it('is written as a table with widths and units', () => {
    const design = designFromText('shades: A=#2e4c63 Slate, B=#fbf8f0 White\nstripe: A/12 B/1/3', 'x');
    expect(designToCsv(design)).toBe(
      'shade,colour,width,unit,pivot\r\nSlate,#2e4c63,12,mm,shared\r\nWhite,#fbf8f0,1/3,mm,shared\r\n',
    );
  });
});

describe('thread-count tables', () => {
  it('carry the colours of both sequences there and back', () => {
    fc.assert(
      fc.property(someDesign, (design) => {
        // A mirrored sequence of one band is written as its one pivot.
        expect(colours(designFromCsv(designToCsv(design), 'x'))).toEqual(colours(design));
      }),
    );
  });

  it('keep colours apart that have one name, and one colour whose name is written once', () => {
    const { construction, shades } = asKind(
      'plaid',
      designFromCsv('shade,colour,count\nNavy,#20304a,3\nNavy,#c8a24a,2\nNavy,,5\n', 'x'),
    );
    expect(shades.map(({ name, hex }) => `${name} ${hex}`)).toEqual(['Navy #20304a', 'Navy 2 #c8a24a']);
    expect(construction.warp.bands.map(({ shade }) => shade)).toEqual(['N', 'A', 'A']);
  });

  it('give near colours without a name names of their own', () => {
    const { shades } = designFromText('shades: A=#d9a521, B=#daa522\nA4 B4', 'x');
    expect(shades.map(({ name }) => name)).toEqual(['Golden rod', 'Golden rod 2']);
    expect(
      designFromCsv(designToCsv(designFromText('shades: A=#d9a521, B=#daa522\nA4 B4', 'x')), 'x').shades,
    ).toHaveLength(2);
  });

  it('carry the widths of a stripe there and back', () => {
    fc.assert(
      fc.property(someStripe, (design) => {
        const back = asKind('stripe', designFromCsv(designToCsv(design), 'x'));
        const widths = ({ construction, shades }: StripeDesign) =>
          construction.bands.map(({ shade, width }) => [shades.find(({ key }) => key === shade)!.hex, width]);
        expect(widths(back)).toEqual(widths(design));
        expect(back.construction.unit).toBe(design.construction.unit);
      }),
    );
  });

  it('hold no formula of a spreadsheet, and names come back as they were', () => {
    const name = '=HYPERLINK("http://evil.example";"x")';
    const design = sampleDesign('shades: A=#20304a Ink, B=#c8a24a Sand\nwarp: A4 B4');
    const named = {
      ...design,
      shades: design.shades.map((shade, at) => (at === 0 ? { ...shade, name } : shade)),
    };
    const csv = designToCsv(named);
    expect(csv).not.toMatch(/(^|,|")=/m);
    expect(designFromCsv(csv, 'x').shades[0]!.name).toBe(name);
  });

  it('name shades by their first letter where it is free', () => {
    const design = designFromCsv('shade,count\ngreen,4\ngold,2\n#20304a,1\n', 'x');
    expect(design.shades.map(({ key, hex }) => `${key} ${hex}`)).toEqual([
      'G #008000',
      'A #ffd700',
      'B #20304a',
    ]);
  });

  it('are refused with a colour that is none, or without a warp', () => {
    expect(() => designFromCsv('shade,count\nBoiler green,4', 'x')).toThrow(
      expect.objectContaining({ code: 'csv/colour', facts: { line: 2, text: 'Boiler green' } }),
    );
    expect(() => designFromCsv('shade,count,direction\nred,4,weft', 'x')).toThrow('csv/no-warp');
  });
});

describe('what a file does not hold', () => {
  const loud = sampleDesign('warp: A4 B4\nprint: multiply\ndensity: 30/cm');

  it('is found by reading it back', () => {
    expect(lossesOf(SAMPLE_DESIGN, 'json')).toEqual([]);
    expect(lossesOf({ ...SAMPLE_DESIGN, resolution: '150', number: 'V 3' }, 'txt')).toEqual([
      'number',
      'resolution',
    ]);
    expect(lossesOf(loud, 'csv')).toEqual(['name', 'crossing', 'print', 'density']);
    expect(lossesOf(loud, 'txt')).toEqual([]);
  });
});

describe('files', () => {
  it('are read by their ending, and named after themselves', () => {
    const design = designFromFile('C:\\sub\\tea-room_check.txt', 'A4 B4');
    expect(design.name).toBe('Tea room check');
    expect(designFromFile('x.TXT', SAMPLE).shades).toHaveLength(3);
    expect(designFromFile('x.csv', 'shade,count\nred,1').name).toBe('X');
  });

  it.each(['x.png', 'x', 'json', 'x.json.bak'])('%s is refused', (name) => {
    expect(() => fileKind(name)).toThrow('file/kind');
  });
});
