import { describe, expect, it } from 'vitest';
import { boxTorus, strapThrough } from '../../../../tests/strap-lines.ts';
import type { StrapLine } from './strap-line.ts';
import { strapNet } from './strap-net.ts';
import { underPass, withinRoom } from './under-cut.ts';

const SIDE = 20;

const TORUS = boxTorus(SIDE);

const ACROSS = strapThrough('0,10 20,10');

/** The room along the strap of a number at each of its crossings, from its start on. */
function roomsAlong(strap: number, lines: readonly StrapLine[]) {
  const net = strapNet(lines, TORUS);
  return net.routes[strap]!.map(({ crossing, which }) => net.rooms[crossing]![which]);
}

describe('the room of a crossing along a strap', () => {
  it('reaches to the ones before and after it, all round where the strap comes round', () => {
    const up = (at: number, line: number) => strapThrough(`${at},0 ${at},20`, { line });
    expect(roomsAlong(0, [ACROSS, up(3, 1), up(8, 2), up(15, 3)])).toEqual([
      { before: 8, after: 5 },
      { before: 5, after: 7 },
      { before: 7, after: 8 },
    ]);
    expect(roomsAlong(1, [ACROSS, up(3, 1)])).toEqual([{ before: SIDE, after: SIDE }]);
  });

  it('reaches to the end of a strap that has ends', () => {
    const stub = strapThrough('3,6 3,17', { line: 1, run: 'open' });
    expect(roomsAlong(1, [ACROSS, stub])).toEqual([{ before: 4, after: 7 }]);
  });
});

describe('straps that cross at a small angle', () => {
  /** One that rises by a hundredth of what it goes across. */
  const flat = strapThrough('0,99/10 20,101/10', { line: 1, run: 'open' });
  const net = strapNet([ACROSS, flat], TORUS);

  it('are cut as if they crossed at one whose sine is 1/20', () => {
    expect(net.crossings).toHaveLength(1);
    for (const which of [0, 1] as const) {
      const { sine, cosine } = underPass(net, { crossing: 0, which, round: 0, step: [0, 0] });
      expect(Math.abs(sine)).toBe(0.05);
      expect(Math.abs(cosine)).toBeCloseTo(1, 3);
    }
  });

  it('are not cut further than twice the way to the next crossing', () => {
    expect(withinRoom(3, 2)).toBe(3);
    expect(withinRoom(30, 2)).toBe(4);
  });
});
