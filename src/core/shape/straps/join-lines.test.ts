import { describe, expect, it } from 'vitest';
import { boxTorus, strapThrough } from '../../../../tests/strap-lines.ts';
import { surdToNumber } from '../../exact/surd.ts';
import { joinLines } from './join-lines.ts';

const TORUS = boxTorus(12);

const joined = (...lines: readonly (readonly [text: string, told?: Parameters<typeof strapThrough>[1]])[]) =>
  joinLines(
    lines.map(([text, told], line) => strapThrough(text, { line, ...told })),
    TORUS,
  );

/** The corners of a strap as text, in millimetres. */
const cornersOf = ({ points }: ReturnType<typeof joinLines>['straps'][number]) =>
  points.map(({ place }) => `${place.x},${place.y}`).join(' ');

describe('lines of one style', () => {
  it('are one strap where they meet end to end, whichever way each was drawn', () => {
    const { straps, forks } = joined(
      ['1,1 4,1', { run: 'open' }],
      ['8,6 4,1', { run: 'open' }],
      ['8,6 9,9', { run: 'open' }],
    );
    expect(straps.map(cornersOf)).toEqual(['1,1 4,1 8,6 9,9']);
    expect(straps[0]).toMatchObject({ name: { piece: 1, line: 0 }, comes: null });
    expect(forks).toEqual([]);
  });

  it('are followed from the end that is free, so that none is left out', () => {
    // The middle one comes first: it is followed from an end of the other two all the same.
    const { straps } = joined(
      ['4,1 8,6', { run: 'open' }],
      ['1,1 4,1', { run: 'open' }],
      ['8,6 9,9', { run: 'open' }],
    );
    expect(straps).toHaveLength(1);
    expect(straps[0]!.points).toHaveLength(4);
    expect(straps[0]!.comes).toBeNull();
  });

  it('go on in the next box where the ends lie a box apart', () => {
    const { straps } = joined(['0,3 7,5', { run: 'open' }], ['-5,5 0,3', { run: 'open' }]);
    expect(straps).toHaveLength(1);
    expect(straps[0]!.comes).toEqual([1, 0]);
    expect(cornersOf(straps[0]!)).toBe('0,3 7,5 12,3');
  });

  it('come round two boxes further where they do', () => {
    const { straps } = joined(['0,0 12,24', { run: 'onward' }]);
    expect(straps[0]!.comes).toEqual([1, 2]);
  });

  it('that are closed are straps of their own, back at their start', () => {
    const { straps } = joined(['1,1 5,1 3,4', { run: 'closed' }]);
    expect(cornersOf(straps[0]!)).toBe('1,1 5,1 3,4 1,1');
    expect(straps[0]!.comes).toEqual([0, 0]);
  });

  it('that make a ring together come back to where they began', () => {
    const { straps } = joined(
      ['1,1 5,1', { run: 'open' }],
      ['5,1 3,4', { run: 'open' }],
      ['3,4 1,1', { run: 'open' }],
    );
    expect(straps).toHaveLength(1);
    expect(straps[0]!.comes).toEqual([0, 0]);
  });

  it('go straight on where four ends meet', () => {
    const { straps, forks } = joined(
      ['2,5 5,5', { run: 'open' }],
      ['5,2 5,5', { run: 'open' }],
      ['5,5 9,5', { run: 'open' }],
      ['5,5 5,9', { run: 'open' }],
    );
    expect(straps.map(cornersOf)).toEqual(['2,5 5,5 9,5', '5,2 5,5 5,9']);
    expect(forks).toEqual([]);
  });

  it('are told where three ends meet and none goes on', () => {
    const { straps, forks } = joined(
      ['2,5 5,5', { run: 'open' }],
      ['9,2 5,5', { run: 'open' }],
      ['9,9 5,5', { run: 'open' }],
    );
    expect(straps).toHaveLength(3);
    expect(forks).toEqual([{ x: 5, y: 5 }]);
  });
});

describe('lines of two styles', () => {
  it('do not go on into each other', () => {
    const { straps, forks } = joined(['1,1 4,1', { run: 'open' }], ['4,1 8,6', { run: 'open', style: 1 }]);
    expect(straps.map(({ style }) => style)).toEqual([0, 1]);
    expect(forks).toEqual([]);
  });
});

describe('the exact points of straps', () => {
  it('are moved with them', () => {
    const { straps } = joined(['0,3 7,5', { run: 'open' }], ['-5,5 0,3', { run: 'open' }]);
    const { points } = straps[0]!;
    for (const { place, exact } of points) {
      expect({ x: surdToNumber(exact!.x), y: surdToNumber(exact!.y) }).toEqual(place);
    }
  });
});
