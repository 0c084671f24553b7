import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { someSequence } from '../../../tests/sample-design.ts';
import { MAX_BANDS } from '../thread/band.ts';
import { formatThreadCount, MAX_THREAD_COUNT_TEXT, parseThreadCount } from './thread-count.ts';

const CONTEXT = { keys: ['A', 'B', 'C', 'GR'], pivots: 'shared' } as const;

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
  ])('%j is %s', (text, written, mirror) => {
    const sequence = parseThreadCount(text, CONTEXT);
    expect(formatThreadCount(sequence)).toBe(written);
    expect(sequence.mirror).toBe(mirror);
  });

  it.each([
    ['', 'notation/empty', 0, 0],
    ['A12 6B', 'notation/band', 4, 2],
    ['A12 X6 C4', 'notation/shade', 4, 1],
    ['A12 B', 'notation/count', 4, 1],
    ['A12 B0', 'notation/count', 5, 1],
    ['A12 B-3', 'notation/count', 5, 2],
    ['A12 B2.5', 'notation/count', 5, 3],
    ['A12 B1000000000', 'notation/count', 5, 10],
    ['A12 B6x C4', 'notation/count', 5, 2],
    ['A/12 B6 C4', 'notation/pivot-alone', 8, 2],
    ['A/12 B/6 C/4', 'notation/pivot-inside', 5, 3],
    ['A12 Blue6', 'notation/shade', 4, 4],
  ])('%j is refused: %s at %i, %i long', (text, code, at, length) => {
    expect(facts(text)).toMatchObject({ code, facts: { at, length } });
  });

  it('refuses what is too long, in bands, threads and characters', () => {
    expect(facts(`${'A1 '.repeat(MAX_BANDS + 1)}`)?.code).toBe('sequence/bands');
    expect(facts('A60000 B60000')?.code).toBe('sequence/threads');
    expect(facts('A'.repeat(MAX_THREAD_COUNT_TEXT + 1))?.code).toBe('notation/too-long');
  });

  it('takes any letters when no shades are known', () => {
    const sequence = parseThreadCount('Q4 ZZ2', { keys: undefined, pivots: 'shared' });
    expect(sequence.bands.map((band) => band.shade)).toEqual(['Q', 'ZZ']);
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
