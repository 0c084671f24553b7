import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compileUnit } from '../../src/core/design/compile-design.ts';
import type { PlaidDesign } from '../../src/core/design/design-schema.ts';
import { designFromWif } from '../../src/core/design/exchange/wif-design.ts';
import { designToWif } from '../../src/core/design/exchange/write-file.ts';
import { readDesign } from '../../src/core/design/read-design.ts';
import { formatThreadCount } from '../../src/core/formats/thread-count.ts';
import { readWif } from '../../src/core/formats/wif/read-wif.ts';
import { cellAt } from '../../src/core/thread/cells.ts';
import { buildWeave } from '../../src/core/thread/weaves/build-weave.ts';
import { parseWeave } from '../../src/core/thread/weaves/weave-text.ts';
import { sampleDesign, someDesign } from '../sample-design.ts';

/** Written by hand from the rules of WIF 1.1 (1997, an INI form; from memory), not by our writer. */
const HOUNDSTOOTH = `; a remark
[WIF]
Version=1.1
Date=April 20, 1997

[CONTENTS]
COLOR PALETTE=true
WEAVING=true

[COLOR PALETTE]
Entries=2
Form=RGB
Range=0,999

[COLOR TABLE]
1=0,0,0
2=999,999,999

[WEAVING]
Shafts=4
Treadles=4
Rising Shed=yes

[WARP]
Threads=8
Units=Centimeters
Spacing=0.1
Color=1

[WEFT]
Threads=8
Units=Centimeters
Spacing=0.125

[THREADING]
1=1
2=2
3=3
4=4
5=1
6=2
7=3
8=4

[TIEUP]
1=1,2
2=2,3
3=3,4
4=1,4

[TREADLING]
1=1
2=2
3=3
4=4
5=1
6=2
7=3
8=4

[WARP COLORS]
1=1
2=1
3=1
4=1
5=2
6=2
7=2
8=2

[WEFT COLORS]
1=1
2=1
3=1
4=1
5=2
6=2
7=2
8=2
`;

function picture(design: PlaidDesign): string[] {
  const { content } = compileUnit(design);
  return Array.from({ length: content.height }, (_, y) =>
    Array.from({ length: content.width }, (__, x) => content.shades[cellAt(content, x, y)]!.hex).join(' '),
  );
}

describe('a weave file written by hand', () => {
  it('is houndstooth: 4 dark and 4 light both ways in 2/2 twill', () => {
    const design = designFromWif(HOUNDSTOOTH, 'Houndstooth');
    expect(formatThreadCount(design.construction.warp)).toBe('A4 B4');
    expect(design.shades.map(({ hex }) => hex)).toEqual(['#000000', '#ffffff']);
    expect(design.lay).toMatchObject({ ends: '10', picks: '8', per: 'cm' });
    const twill = buildWeave(parseWeave('2/2Z'));
    const { up, ends } = buildWeave(design.construction.weave);
    up.forEach((cell, at) => {
      expect(cell).toBe(twill.up[(Math.floor(at / ends) % 4) * 4 + ((at % ends) % 4)]);
    });
    const same = sampleDesign('shades: A=#000000 Black, B=#ffffff White\nwarp: A4 B4\nweave: 2/2Z');
    expect(picture(design)).toEqual(picture(same));
  });

  it.each([
    [
      'small letters, blanks and CRLF',
      (text: string) => text.toLowerCase().replaceAll('=', ' = ').replaceAll('\n', '\r\n'),
    ],
    ['a byte order mark', (text: string) => `\uFEFF${text}`],
    [
      'sections in another order',
      (text: string) => {
        const parts = text.split(/\n(?=\[)/);
        return [...parts.slice(1).reverse(), parts[0]].join('\n');
      },
    ],
    [
      'no contents and no colour sections but the table',
      (text: string) => text.replace(/\[CONTENTS\][^[]*/, ''),
    ],
    ['words for the shed', (text: string) => text.replace('Rising Shed=yes', 'Rising Shed=on')],
  ])('is read the same with %s', (_, change) => {
    const [plain, changed] = [HOUNDSTOOTH, change(HOUNDSTOOTH)].map((text) => readWif(text));
    expect({ ...changed, kept: [] }).toEqual({ ...plain, kept: [] });
  });

  it('sinks its shafts when the shed does not rise', () => {
    const sinking = HOUNDSTOOTH.replace('Rising Shed=yes', 'Rising Shed=0');
    const [rising, sunk] = [HOUNDSTOOTH, sinking].map((text) =>
      buildWeave(designFromWif(text, 'x').construction.weave),
    );
    expect(sunk!.up).toEqual(rising!.up.map((cell) => 1 - cell));
  });

  it('may have a lift plan, and picks on several treadles', () => {
    const plan = HOUNDSTOOTH.replace(
      /\[TIEUP\][^[]*\[TREADLING\][^[]*/,
      '[LIFTPLAN]\n1=1,2\n2=2,3\n3=3,4\n4=1,4\n5=1,2\n6=2,3\n7=3,4\n8=4,1\n\n',
    );
    expect(picture(designFromWif(plan, 'x'))).toEqual(picture(designFromWif(HOUNDSTOOTH, 'x')));
    const single = HOUNDSTOOTH.replace(/\[TIEUP\][^[]*/, '[TIEUP]\n1=1\n2=2\n3=3\n4=4\n\n').replace(
      /\[TREADLING\][^[]*/,
      '[TREADLING]\n1=1,2\n2=2,3\n3=3,4\n4=1,4\n5=1,2\n6=2,3\n7=3,4\n8=4,1\n\n',
    );
    expect(picture(designFromWif(single, 'x'))).toEqual(picture(designFromWif(HOUNDSTOOTH, 'x')));
  });

  it('keeps what is not understood and writes it back', () => {
    const more = `${HOUNDSTOOTH}\n[NOTES]\n1=For the guard's van\n\n[PRIVATE X]\nKnot=flat\n`;
    const design = readDesign(JSON.parse(JSON.stringify(designFromWif(more, 'x'))));
    const written = designToWif(design);
    expect(written).toContain("[NOTES]\r\n1=For the guard's van\r\n");
    expect(written).toContain('[PRIVATE X]\r\nKnot=flat\r\n');
  });

  it('keeps lines that are not understood in sections that are', () => {
    const more = HOUNDSTOOTH.replace('Rising Shed=yes', 'Rising Shed=yes\nReed=12').concat(
      '\n[TEXT]\nTitle=Tooth\nAuthor=The weaving shed\n',
    );
    const design = readDesign(JSON.parse(JSON.stringify(designFromWif(more, 'x'))));
    expect(design.name).toBe('Tooth');
    const written = designToWif(design);
    expect(written).toContain('Rising Shed=true\r\nReed=12\r\n');
    expect(written).toContain('[TEXT]\r\nTitle=Tooth\r\nAuthor=The weaving shed\r\n');
    expect(readWif(written).kept).toEqual(expect.arrayContaining([...readWif(more).kept]));
  });

  it('keeps thickness, and the measures of single threads, in whatever unit they are written', () => {
    // Decipoints are 1/720 inch: 72 of them a tenth of an inch.
    const more = HOUNDSTOOTH.replace(
      'Units=Centimeters\nSpacing=0.1\n',
      'Units=Decipoints\nSpacing=72\nThickness=36\n',
    ).concat('\n[WARP SPACING]\n3=144\n\n[WARP THICKNESS]\n3=18\n8=9\n');
    const design = readDesign(JSON.parse(JSON.stringify(designFromWif(more, 'x')))) as PlaidDesign;
    expect(design.lay).toMatchObject({ ends: '10', per: 'in' });
    const measures = {
      unit: 'in',
      spacing: '0.1',
      thickness: '0.05',
      spacings: [['3', '0.2']],
      thicknesses: [
        ['3', '0.025'],
        ['8', '0.0125'],
      ],
    };
    expect(readWif(designToWif(design)).warp.measures).toEqual(measures);
    // 254 ends to 10 cm are 25.4 a cm: the same cloth, told in centimetres.
    const metric = {
      ...design,
      lay: { ...design.lay, per: 'cm' as const, ends: '10/2.54', picks: '10/2.54' },
    };
    expect(readWif(designToWif(metric)).warp.measures).toMatchObject({
      unit: 'cm',
      spacing: '0.254',
      thickness: '0.127',
      spacings: [['3', '0.508']],
    });
    // With fewer ends than there were, what is said of the others is left out.
    const { construction } = sampleDesign('warp: A2 B2\nweave: plain');
    const fewer = { ...design, construction, shades: sampleDesign('warp: A2 B2').shades };
    expect(readWif(designToWif(fewer)).warp.measures.thicknesses).toEqual([['3', '0.025']]);
  });

  it('drafts anew what has ends on several shafts, or on none', () => {
    const several = HOUNDSTOOTH.replace('8=4\n\n[TIEUP]', '8=4,1\n\n[TIEUP]');
    const { up, ends, picks } = buildWeave(designFromWif(several, 'x').construction.weave);
    // Lifts are 12, 23, 34, 14 in turn: an end on 1 and 4 is up at the first, the third and the fourth.
    expect([ends, picks]).toEqual([8, 8]);
    expect([0, 1, 2, 3].map((pick) => up[pick * ends + 7])).toEqual([1, 0, 1, 1]);
    const loose = HOUNDSTOOTH.replace('8=4\n\n[TIEUP]', '8=0\n\n[TIEUP]');
    const woven = buildWeave(designFromWif(loose, 'x').construction.weave);
    expect(Array.from({ length: 8 }, (_, pick) => woven.up[pick * 8 + 7])).toEqual(Array(8).fill(0));
  });

  it('of more different lifts than treadles is written by its lift plan', () => {
    const plan = Array.from({ length: 100 }, (_, pick) =>
      [1, 2, 3, 4, 5, 6, 7].filter((shaft) => ((pick + 1) >> (shaft - 1)) % 2 === 1),
    );
    const text = [
      '[WIF]\nVersion=1.1\n[WEAVING]\nShafts=7\n[WARP]\nThreads=7\n[WEFT]\nThreads=100\n[THREADING]',
      ...[1, 2, 3, 4, 5, 6, 7].map((shaft) => `${shaft}=${shaft}`),
      '[LIFTPLAN]',
      ...plan.map((lift, pick) => `${pick + 1}=${lift.join(',')}`),
    ].join('\n');
    const design = readDesign(JSON.parse(JSON.stringify(designFromWif(text, 'Dobby'))));
    const again = readWif(designToWif(design));
    expect(again.treadles).toBeUndefined();
    expect(again.lifts).toEqual(plan);
  });
});

describe('weave files', () => {
  const woven = someDesign.filter(
    ({ construction }) => construction.crossing === 'woven' && construction.weave.kind !== 'shaded',
  );

  it('carry any woven design there and back, to the cell, and come out the same again', () => {
    fc.assert(
      fc.property(woven, (design) => {
        const written = designToWif(design);
        const read = designFromWif(written, 'x');
        expect(picture(read)).toEqual(picture(design));
        expect(read.lay).toMatchObject({ per: design.lay.per });
        expect(designToWif(read)).toBe(written);
      }),
      { numRuns: 120 },
    );
  });
});

describe('broken weave files are refused with section and line', () => {
  it.each([
    ['binary', '\0\0WIF', 'wif/binary', {}],
    ['no weave file', '[OTHER]\na=1', 'wif/not-one', {}],
    ['a line without a section', 'Version=1.1', 'wif/line', { line: 1 }],
    ['a line without a value', `${HOUNDSTOOTH}\nrubbish`, 'wif/line', { text: 'rubbish' }],
    ['cut short', HOUNDSTOOTH.slice(0, HOUNDSTOOTH.indexOf('[TIEUP]')), 'wif/missing', { section: 'TIEUP' }],
    [
      'a shaft too high',
      HOUNDSTOOTH.replace('8=4\n\n[TIEUP]', '8=9\n\n[TIEUP]'),
      'wif/range',
      { section: 'THREADING', value: 9, most: 4 },
    ],
    [
      'a colour beyond its range',
      HOUNDSTOOTH.replace('2=999,999,999', '2=1000,0,0'),
      'wif/value',
      { section: 'COLOR TABLE' },
    ],
    [
      'a colour that is not in the table',
      HOUNDSTOOTH.replace('8=2\n\n[WEFT COLORS]', '8=7\n\n[WEFT COLORS]'),
      'wif/range',
      { section: 'WARP COLORS', value: 7 },
    ],
    [
      'more ends than are said',
      HOUNDSTOOTH.replace('Threads=8', 'Threads=6'),
      'wif/contradiction',
      { section: 'THREADING', value: 7, other: 6 },
    ],
    [
      'a thickness that is none',
      HOUNDSTOOTH.replace('Spacing=0.125', 'Spacing=0.125\nThickness=-1'),
      'wif/value',
      { section: 'WEFT' },
    ],
    [
      'a single spacing of an end that is not there',
      `${HOUNDSTOOTH}\n[WARP SPACING]\n9=0.2\n`,
      'wif/contradiction',
      { section: 'WARP SPACING', value: 9, other: 8 },
    ],
    [
      'threads that are no number',
      HOUNDSTOOTH.replace('Threads=8', 'Threads=many'),
      'wif/value',
      { section: 'WARP' },
    ],
    [
      'too many threads',
      HOUNDSTOOTH.replace('Threads=8', 'Threads=99999'),
      'wif/range',
      { section: 'WARP', most: 4096 },
    ],
  ])('%s', (_, text, code, facts) => {
    expect(() => designFromWif(text, 'x')).toThrow(
      expect.objectContaining({ code, facts: expect.objectContaining(facts) }),
    );
  });
});
