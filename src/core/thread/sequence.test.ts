import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { someSequence } from '../../../tests/sample-design.ts';
import { MAX_BANDS, MAX_COUNT } from './band.ts';
import { layOut, type Mirror, type Sequence, threadCount, threadsOf } from './sequence.ts';

const KEYS = ['A', 'B', 'C'];

function sequence(mirror: Mirror, ...bands: readonly (readonly [string, number])[]): Sequence {
  return { mirror, bands: bands.map(([shade, count]) => ({ shade, count })) };
}

function text(of: Sequence): string {
  return layOut(of)
    .map(({ shade, count, reflected }) => `${shade}${count}${reflected ? '′' : ''}`)
    .join(' ');
}

describe('layOut', () => {
  it.each([
    ['none', 'A4 B2 C6'],
    ['shared', 'A4 B2 C6 B2′'],
    ['doubled', 'A4 B2 C6 C6′ B2′ A4′'],
  ] as const)('mirrors %s', (mirror, laid) => {
    expect(text(sequence(mirror, ['A', 4], ['B', 2], ['C', 6]))).toBe(laid);
  });

  it('needs nothing between two pivots', () => {
    expect(text(sequence('shared', ['A', 4], ['B', 2]))).toBe('A4 B2');
    expect(text(sequence('shared', ['A', 4]))).toBe('A4');
    expect(text(sequence('doubled', ['A', 4]))).toBe('A4 A4′');
  });

  it('starts each band where the one before ends, and counts as told beforehand', () => {
    fc.assert(
      fc.property(someSequence, (some) => {
        let start = 0;
        for (const band of layOut(some)) {
          expect(band.start).toBe(start);
          start += band.count;
        }
        expect(threadCount(some)).toBe(start);
      }),
    );
  });

  it.each([
    [sequence('none'), 'sequence/empty'],
    [sequence('none', ['A', 0]), 'band/count'],
    [sequence('none', ['A', -1]), 'band/count'],
    [sequence('none', ['A', 2.5]), 'band/count'],
    [sequence('none', ['A', Number.NaN]), 'band/count'],
    [sequence('none', ['A', 1e9]), 'band/count'],
    [sequence('doubled', ['A', MAX_COUNT]), 'sequence/threads'],
    [
      { mirror: 'none', bands: Array.from({ length: MAX_BANDS + 1 }, () => ({ shade: 'A', count: 1 })) },
      'sequence/bands',
    ],
  ] as const)('refuses what cannot be laid out: case %#', (of, code) => {
    expect(() => layOut(of)).toThrow(expect.objectContaining({ code }));
  });

  it('takes a sett of 100 000 threads', () => {
    expect(threadsOf(sequence('none', ['A', MAX_COUNT]), KEYS)).toHaveLength(MAX_COUNT);
  });
});

describe('threadsOf', () => {
  it('is its own reflection when mirrored', () => {
    fc.assert(
      fc.property(someSequence, (some) => {
        const doubled = [...threadsOf({ ...some, mirror: 'doubled' }, KEYS)];
        expect(doubled).toEqual([...doubled].reverse());
        const shared = [...threadsOf({ ...some, mirror: 'shared' }, KEYS)];
        const turned = some.bands[0]!.count;
        const rolled = [...shared.slice(turned), ...shared.slice(0, turned)];
        expect(rolled).toEqual([...shared].reverse());
      }),
    );
  });

  it('names a shade that the card lacks', () => {
    expect(() => threadsOf(sequence('none', ['X', 3]), KEYS)).toThrow(
      expect.objectContaining({ code: 'band/shade', facts: { shade: 'X' } }),
    );
  });
});
