import { describe, expect, it } from 'vitest';
import { withTurned } from './turn-crossing.ts';

const FIRST = { piece: 1, line: 0, pass: 2, cell: 0 };

describe('a crossing turned by hand', () => {
  it('is noted once, and taken away again', () => {
    const once = withTurned([], FIRST);
    expect(once).toEqual([FIRST]);
    expect(withTurned(once, { ...FIRST })).toEqual([]);
    expect(withTurned(once, { ...FIRST, cell: 1 })).toHaveLength(2);
  });
});
