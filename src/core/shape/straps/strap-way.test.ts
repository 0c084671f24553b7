import { describe, expect, it } from 'vitest';
import { boxTorus, strapThrough } from '../../../../tests/strap-lines.ts';
import { joinLines } from './join-lines.ts';
import type { StrapLine } from './strap-line.ts';
import { firstRound, linkAt, placeAlong, restingPlace, stretchOf, wayAlong, waysAt } from './strap-way.ts';

const TORUS = boxTorus(12);

function way(corners: string, run: StrapLine['run']) {
  const { straps } = joinLines([strapThrough(corners, { run })], TORUS);
  return wayAlong(straps[0]!, 0);
}

/** Three pieces of 5. */
const OPEN = way('0,0 3,4 6,0 11,0', 'open');
/** Round a square of 4. */
const CLOSED = way('1,1 5,1 5,5 1,5', 'closed');

const places = (from: number, to: number, along = OPEN) =>
  stretchOf(along, from, to, TORUS).map(({ x, y }) => `${x},${y}`);

describe('a place along a strap', () => {
  it.each([
    [0, { x: 0, y: 0 }],
    [2.5, { x: 1.5, y: 2 }],
    [5, { x: 3, y: 4 }],
    [12, { x: 8, y: 0 }],
    [15, { x: 11, y: 0 }],
    [-3, { x: 0, y: 0 }],
    [30, { x: 11, y: 0 }],
  ])('%f mm along one with two ends', (along, place) => {
    expect(placeAlong(OPEN, along, TORUS)).toEqual(place);
  });

  it('goes on round and round where a strap comes back to its start', () => {
    expect(CLOSED.length).toBe(16);
    expect(placeAlong(CLOSED, 6, TORUS)).toEqual({ x: 5, y: 3 });
    expect(placeAlong(CLOSED, 6 + 16, TORUS)).toEqual({ x: 5, y: 3 });
    expect(placeAlong(CLOSED, 6 - 32, TORUS)).toEqual({ x: 5, y: 3 });
  });

  it('is so many boxes further where a strap comes round elsewhere', () => {
    const diagonal = way('0,0 12,12', 'onward');
    expect(diagonal.strap.comes).toEqual([1, 1]);
    expect(placeAlong(diagonal, 1.5 * diagonal.length, TORUS)).toEqual({ x: 18, y: 18 });
    expect(placeAlong(diagonal, -diagonal.length / 2, TORUS)).toEqual({ x: -6, y: -6 });
  });

  it('belongs to the later of two pieces', () => {
    expect(linkAt(OPEN, 4.9).at).toBe(0);
    expect(linkAt(OPEN, 5).at).toBe(1);
    expect(linkAt(OPEN, 15).at).toBe(2);
  });

  it('is told by rounds', () => {
    expect(firstRound(CLOSED, 35)).toEqual({ along: 3, rounds: 2 });
    expect(firstRound(CLOSED, -1)).toEqual({ along: 15, rounds: -1 });
    expect(firstRound(OPEN, 35)).toEqual({ along: 15, rounds: 0 });
  });
});

describe('the ways at a place', () => {
  it('differ at a corner, and are one between corners', () => {
    expect(waysAt(OPEN, 5)).toEqual({ comes: { x: 0.6, y: 0.8 }, leaves: { x: 0.6, y: -0.8 } });
    expect(waysAt(OPEN, 12)).toEqual({ comes: { x: 1, y: 0 }, leaves: { x: 1, y: 0 } });
  });

  it('are missing at the ends, but where the strap comes round', () => {
    expect(waysAt(OPEN, 0)).toEqual({ comes: undefined, leaves: { x: 0.6, y: 0.8 } });
    expect(waysAt(OPEN, 15)).toEqual({ comes: { x: 1, y: 0 }, leaves: undefined });
    expect(waysAt(CLOSED, 0)).toEqual({ comes: { x: 0, y: -1 }, leaves: { x: 1, y: 0 } });
  });
});

describe('a stretch of a strap', () => {
  it('has the corners that lie within it', () => {
    expect(places(2.5, 12)).toEqual(['1.5,2', '3,4', '6,0', '8,0']);
    expect(places(5, 10)).toEqual(['3,4', '6,0']);
  });

  it('ends at the ends of a strap that has some', () => {
    expect(places(-9, 2.5)).toEqual(['0,0', '1.5,2']);
    expect(places(12, 40)).toEqual(['8,0', '11,0']);
  });

  it('goes through the start of a closed one', () => {
    expect(places(14, 18, CLOSED)).toEqual(['1,3', '1,1', '3,1']);
    expect(places(-2, 2, CLOSED)).toEqual(['1,3', '1,1', '3,1']);
  });

  it('goes round more than once', () => {
    expect(places(2, 2 + 32, CLOSED)).toHaveLength(2 * 4 + 2);
  });

  it('goes on into the next boxes', () => {
    const level = way('0,2 7,5 12,2', 'onward');
    const last = stretchOf(level, level.length / 2, 2.5 * level.length, TORUS).at(-1)!;
    expect(level.strap.comes).toEqual([1, 0]);
    expect(last.x).toBeGreaterThan(24);
  });
});

describe('a place to rest between two crossings', () => {
  it('is the middle of the longest piece without a sharp corner', () => {
    expect(restingPlace(OPEN, 2, 15)).toEqual({ along: 7.5, room: 2.5 });
    expect(restingPlace(OPEN, 6, 15)).toEqual({ along: 12.5, room: 2.5 });
    expect(restingPlace(CLOSED, 3, 19)).toEqual({ along: 6, room: 2 });
  });

  it('is the middle where no corner lies between', () => {
    expect(restingPlace(OPEN, 11, 15)).toEqual({ along: 13, room: 2 });
  });
});
