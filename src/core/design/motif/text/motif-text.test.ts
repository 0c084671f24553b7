import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { someMotif } from '../../../../../tests/sample-design.ts';
import { CoreError } from '../../../error.ts';
import { asKind } from '../../of-kind.ts';
import { readDesign } from '../../read-design.ts';
import { designFromStart } from '../../starts.ts';
import { compileMotif } from '../compile-motif.ts';
import { MOTIF_STARTS } from '../motif-starts.ts';
import { cardWith, motifFromText } from './motif-from-text.ts';
import { MAX_MOTIF_TEXT, readMotifText } from './read-motif-text.ts';
import { writeMotifText } from './write-motif-text.ts';

describe('a motif as text', () => {
  it.each(MOTIF_STARTS.map(({ key }) => key))('%s is read as it was written', (key) => {
    const { construction, lay } = asKind('motif', readDesign(designFromStart('motif', key, 2)));
    const { arrangement } = lay;
    const text = writeMotifText(construction, arrangement);
    expect(text.trimEnd().split('\n')).toHaveLength(1 + construction.pieces.length);
    expect(readMotifText(text)).toEqual({ motif: construction, arrangement });
  });

  it('any motif is', () => {
    fc.assert(
      fc.property(someMotif, (design) => {
        const { construction, lay } = asKind('motif', readDesign(design));
        const { arrangement } = lay;
        expect(readMotifText(writeMotifText(construction, arrangement))).toEqual({
          motif: construction,
          arrangement,
        });
      }),
      { numRuns: 60 },
    );
  });

  it('is short, and may have notes, blank lines and names with blanks and quotes', () => {
    const { motif, arrangement } = readMotifText(`
# Scales
motif box.width=8 box.height=4 ground=C overlap=down | brick by=1/2

disc across=8 x=4 y=2 shade=B name="The \\"outer\\" one" outline outline.shade=C
7: line points="0,0; 2,1,curve; 4,0,corner,1/4" width="2 mm" shade=B locked | copies count=3 x=1
disc shade=B
`);
    expect(motif).toMatchObject({
      box: { width: '8', height: '4' },
      ground: 'C',
      pieces: [
        { id: 1, name: 'The "outer" one', shape: { across: '8' }, outline: { width: '1/4', shade: 'C' } },
        {
          id: 7,
          locked: true,
          shape: {
            width: '2 mm',
            points: [
              { x: '0', y: '0', bend: 'corner', radius: '0' },
              { x: '2', y: '1', bend: 'curve', radius: '0' },
              { x: '4', y: '0', bend: 'corner', radius: '1/4' },
            ],
          },
          made: [{ kind: 'copies', count: 3, x: '1', y: '0' }],
        },
        { id: 8, shape: { across: '4' } },
      ],
    });
    expect(arrangement).toEqual({ kind: 'brick', by: '1/2' });
    expect(writeMotifText(motif, arrangement).split('\n')[1]).toBe(
      '1: disc across=8 name="The \\"outer\\" one" x=4 y=2 shade=B outline.shade=C',
    );
  });

  it('takes the colours of its letters; a card takes what it lacks', () => {
    const design = motifFromText('motif ground=C\ndisc shade=G x=4 y=4\n');
    expect(design.shades.map(({ key }) => key)).toEqual(['C', 'G']);
    const unit = compileMotif(design.construction, {
      shades: design.shades,
      arrangement: design.lay.arrangement,
      pixel: { n: 1n, d: 10n } as never,
    });
    expect(unit.content.marks).toHaveLength(1);
    expect(cardWith(design.shades.slice(1), design.construction).map(({ key }) => key)).toEqual(['G', 'C']);
  });

  it.each([
    ['circle across=8', 'motif-text/shape', 1, 1],
    ['disc across=8\nmotif box=3', 'motif-text/shape', 2, 1],
    ['disc across=8 colour=B', 'motif-text/key', 1, 15],
    ['disc across.x=8', 'motif-text/key', 1, 6],
    ['disc across', 'motif-text/bare', 1, 6],
    ['disc locked=yes', 'motif-text/value', 1, 6],
    ['disc across=0', 'motif-text/field', 1, 6],
    ['disc\n\n  disc across=four', 'motif-text/field', 3, 8],
    ['disc | round count=some', 'motif-text/field', 1, 14],
    ['disc | spin count=2', 'motif-text/part', 1, 8],
    ['disc |', 'motif-text/part', 1, 1],
    ['motif | wallpaper', 'motif-text/part', 1, 9],
    ['disc name="open', 'motif-text/sign', 1, 11],
    ['disc = 8', 'motif-text/sign', 1, 6],
    ['line points="1,2,3,4,5"', 'motif-text/value', 1, 6],
    ['line points="1,2"', 'motif-text/field', 1, 6],
    ['1: disc\n1: disc', 'motif-text/field', 2, 4],
  ])('%j is refused at its place', (text, code, line, column) => {
    try {
      readMotifText(text);
      expect.unreachable('it was read');
    } catch (error) {
      expect(error).toBeInstanceOf(CoreError);
      const { facts } = error as CoreError;
      expect([(error as CoreError).code, facts['line'], facts['column']]).toEqual([code, line, column]);
      expect(Number(facts['at'])).toBeLessThanOrEqual(text.length);
    }
  });

  it('is refused where it is long', () => {
    expect(() => readMotifText(`#${' '.repeat(MAX_MOTIF_TEXT)}`)).toThrow('motif-text/long');
  });
});
