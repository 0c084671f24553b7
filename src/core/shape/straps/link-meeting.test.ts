import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { boxTorus, strapThrough } from '../../../../tests/strap-lines.ts';
import { meetingOf } from './link-meeting.ts';
import { NO_STEP, type Step, stepped } from './strap-torus.ts';

const TORUS = boxTorus(12);

function piece(text: string, isExact = true) {
  const [from, to] = strapThrough(text).points.map(({ place, exact }) => ({
    place,
    exact: isExact ? exact : undefined,
  }));
  return { from: from!, to: to! };
}

function meeting(one: string, other: string, { step = NO_STEP as Step, isExact = true } = {}) {
  const by = stepped(TORUS, { x: 0, y: 0 }, step);
  return meetingOf(piece(one, isExact), piece(other, isExact), { by, step, lattice: TORUS.lattice });
}

describe('two straight pieces', () => {
  it.each([
    ['cross within both', '0,0 8,0', '2,-1 2,3', { kind: 'point', first: 1 / 4, second: 1 / 4 }],
    ['meet at an end of one', '0,0 8,0', '4,0 4,5', { kind: 'point', first: 1 / 2, second: 0 }],
    ['meet at an end of both', '0,0 8,0', '11,4 8,0', { kind: 'point', first: 1, second: 1 }],
    ['pass beside each other', '0,0 8,0', '9,-1 9,3', undefined],
    ['end before each other', '0,0 8,0', '4,1 4,5', undefined],
    ['run beside each other', '0,0 8,0', '0,1 8,1', undefined],
    ['follow each other on one line', '0,0 4,0', '4,0 9,0', { kind: 'point', first: 1, second: 0 }],
    ['come to each other on one line', '0,0 4,0', '9,0 4,0', { kind: 'point', first: 1, second: 1 }],
    ['lie on one line, apart', '0,0 4,0', '5,0 9,0', undefined],
    ['lie along each other', '0,0 6,0', '4,0 9,0', { kind: 'along', at: { x: 5, y: 0 } }],
    ['lie along each other, turned round', '0,0 6,0', '9,0 2,0', { kind: 'along', at: { x: 4, y: 0 } }],
  ])('%s', (_, one, other, found) => {
    for (const isExact of [true, false]) expect(meeting(one, other, { isExact })).toEqual(found);
  });

  it('are told by exact numbers where doubles cannot: by a ten-millionth of a millimetre', () => {
    const near = '4,1/10000000 4,5';
    expect(meeting('0,0 8,0', near)).toBeUndefined();
    // Without exact points they are taken to meet.
    expect(meeting('0,0 8,0', near, { isExact: false })).toEqual({ kind: 'point', first: 0.5, second: 0 });
  });

  it('with roots are told exactly as well', () => {
    // (√2, 1) lies on the line from the origin to (2, √2), and (√2 + 10⁻⁸, 1) beside it.
    expect(meeting('0,0 2,√2', '√2,1 √2,5')).toMatchObject({ kind: 'point', second: 0 });
    expect(meeting('0,0 2,√2', '√2-1/100000000,1 1,5')).toBeUndefined();
  });

  it('are told where the second lies in another cell', () => {
    expect(meeting('0,0 8,0', '-10,11 -10,13', { step: [1, -1] })).toEqual({
      kind: 'point',
      first: 1 / 4,
      second: 1 / 2,
    });
    expect(meeting('0,0 8,0', '-10,11 -10,13', { step: [1, 0] })).toBeUndefined();
  });
});

type Corner = readonly [x: number, y: number];

const someCorner: fc.Arbitrary<Corner> = fc.tuple(
  fc.integer({ min: 0, max: 8 }),
  fc.integer({ min: 0, max: 8 }),
);
const somePiece = fc.tuple(someCorner, someCorner).filter(([a, b]) => a[0] !== b[0] || a[1] !== b[1]);

/** On which side of a line from one corner to another a third lies: 1 to its left, 0 on it. */
function sideOf([a, b]: readonly [Corner, Corner], c: Corner): number {
  return Math.sign((b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]));
}

describe('pieces between whole numbers', () => {
  it('meet where each has ends on both sides of the other, or on it', () => {
    fc.assert(
      fc.property(somePiece, somePiece, (one, other) => {
        const text = (corners: readonly Corner[]) => corners.map((each) => each.join(',')).join(' ');
        const found = meeting(text(one), text(other));
        const sides = [...other.map((end) => sideOf(one, end)), ...one.map((end) => sideOf(other, end))];
        fc.pre(sides.some((side) => side !== 0));
        const doMeet = sides[0]! * sides[1]! <= 0 && sides[2]! * sides[3]! <= 0;
        expect(found?.kind === 'point').toBe(doMeet);
        if (found?.kind !== 'point') return;
        const at = ([a, b]: readonly [Corner, Corner], part: number) => [
          a[0] + part * (b[0] - a[0]),
          a[1] + part * (b[1] - a[1]),
        ];
        const [first, second] = [at(one, found.first), at(other, found.second)];
        expect(Math.hypot(first[0]! - second[0]!, first[1]! - second[1]!)).toBeLessThan(1e-9);
        // An end is told as one, to the last digit.
        expect(found.first === 0 || found.first === 1).toBe(sides[2] === 0 || sides[3] === 0);
      }),
      { numRuns: 1000 },
    );
  });
});
