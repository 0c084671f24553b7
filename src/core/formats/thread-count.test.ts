import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { someSequence } from '../../../tests/sample-design.ts';
import { shadeOfLetter } from '../colour/letter-shades.ts';
import { cardWith } from '../colour/shade-words.ts';
import { MAX_BANDS } from '../thread/band.ts';
import { formatThreadCount, MAX_THREAD_COUNT_TEXT, parseThreadCount, shadeWords } from './thread-count.ts';

const CARD = [
  ...['A', 'B', 'C', 'GR'].map(shadeOfLetter),
  { key: 'S', name: 'Signal ochre', hex: '#c79a3b' },
];
const CONTEXT = { card: CARD, pivots: 'shared' } as const;

function facts(text: string): { code: string; facts: Record<string, unknown> } | undefined {
  try {
    parseThreadCount(text, CONTEXT);
    return undefined;
  } catch (error) {
    return error as { code: string; facts: Record<string, unknown> };
  }
}

describe('parseThreadCount', () => {
  it.each([
    ['A/12 B6 C/4', 'A/12 B6 C/4', 'shared'],
    ['a12 b6', 'A12 B6', 'none'],
    ['  A12,\n B6;\tgr4 ', 'A12 B6 GR4', 'none'],
    ['A/3', 'A/3', 'shared'],
    ['A1 A1', 'A1 A1', 'none'],
    ['A 12 B 6', 'A12 B6', 'none'],
    ['A12B6C4', 'A12 B6 C4', 'none'],
    ['A/12B6C/4', 'A/12 B6 C/4', 'shared'],
    ['A / 12 B 6 C / 4', 'A/12 B6 C/4', 'shared'],
    ['amber 12, BLUE 6', 'A12 B6', 'none'],
    ['signal ochre 12 blue 4', 'S12 B4', 'none'],
    ['A12@60% B6@1/2', 'A12@60% B6@1/2', 'none'],
    ['amber 12@3/5', 'A12@3/5', 'none'],
  ])('%j is %s', (text, written, mirror) => {
    const sequence = parseThreadCount(text, CONTEXT);
    expect(formatThreadCount(sequence)).toBe(written);
    expect(sequence.mirror).toBe(mirror);
  });

  it.each([
    ['', 'notation/empty', 0, 0],
    ['A12 6B', 'notation/band', 4, 1],
    ['12', 'notation/band', 0, 2],
    ['A12 X6 C4', 'notation/shade', 4, 1],
    ['A12 B', 'notation/count', 4, 1],
    ['A12 B C4', 'notation/count', 4, 1],
    ['A12 B0', 'notation/count', 5, 1],
    ['A12 B-3', 'notation/count', 5, 2],
    ['A12 B2.5', 'notation/count', 5, 3],
    ['A12 B1000000000', 'notation/count', 5, 10],
    ['A12 B6x C4', 'notation/shade', 6, 3],
    ['A/12 B6 C4', 'notation/pivot-alone', 8, 2],
    ['A/12 B/6 C/4', 'notation/pivot-inside', 5, 3],
    ['A12 Bluish6', 'notation/shade', 4, 6],
    ['A12 signal red 6', 'notation/shade', 4, 10],
  ])('%j is refused: %s at %i, %i long', (text, code, at, length) => {
    expect(facts(text)).toMatchObject({ code, facts: { at, length } });
  });

  it('refuses a strength that is none', () => {
    expect(facts('A12@120%')?.code).toBe('print/strength');
    expect(facts('A12@')?.code).toBe('number/empty');
  });

  it('refuses what is too long, in bands, threads and characters', () => {
    expect(facts(`${'A1 '.repeat(MAX_BANDS + 1)}`)?.code).toBe('sequence/bands');
    expect(facts('A60000 B60000')?.code).toBe('sequence/threads');
    expect(facts('A'.repeat(MAX_THREAD_COUNT_TEXT + 1))?.code).toBe('notation/too-long');
  });

  it('takes any letters and colours when no shades are known', () => {
    const read = (text: string) =>
      parseThreadCount(text, { card: undefined, pivots: 'shared' }).bands.map((band) => band.shade);
    expect(read('Q4 ZZ2')).toEqual(['Q', 'ZZ']);
    expect(read('white 12, green 12')).toEqual(['W', 'G']);
    expect(read('G10R6C4')).toEqual(['G', 'R', 'C']);
    expect(read('red 4 rosybrown 2 R 1')).toEqual(['R', 'A', 'R']);
  });

  it('reads back what it writes', () => {
    fc.assert(
      fc.property(someSequence, (sequence) => {
        const pivots = sequence.mirror === 'doubled' ? 'doubled' : 'shared';
        expect(parseThreadCount(formatThreadCount(sequence), { ...CONTEXT, pivots })).toEqual(sequence);
      }),
    );
  });
});

describe('a card for what a text names', () => {
  it('keeps its shades and adds what it lacks, a letter always the same', () => {
    const card = cardWith(CARD, shadeWords('white 12 W4 A2 teal 3 nonsense 4'));
    expect(card.slice(CARD.length)).toEqual([
      { key: 'W', name: 'White', hex: shadeOfLetter('W').hex },
      { key: 'T', name: 'Teal', hex: '#008080' },
    ]);
  });

  it('is the same where nothing is lacking', () => {
    expect(cardWith(CARD, ['a', 'Signal Ochre', ''])).toBe(CARD);
  });
});
