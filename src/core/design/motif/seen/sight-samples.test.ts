import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Place } from '../../../shape/places.ts';
import { fineGrid } from './seen-regions.ts';
import { carriedBy } from './sight-samples.ts';

const SIDE = 2 ** 16;
const GRID = fineGrid({ x: 10, y: 10 }, SIDE);

const path = (...corners: readonly (readonly [number, number])[]) =>
  corners.map(([x, y]) => ({ x: Math.round(x * SIDE), y: Math.round(y * SIDE) }));

/** A square in the middle, and a triangle beside the middle of a side. */
const SQUARE = [path([0.3, 0.3], [0.7, 0.3], [0.7, 0.7], [0.3, 0.7])];
const TRIANGLE = [path([0.1, 0.2], [0.6, 0.3], [0.3, 0.9])];

const painted = (polygons: readonly (readonly Place[])[]) => [{ paint: 'A', polygons }];

const turned = (quarters: number) => (place: Place) => {
  let { x, y } = place;
  for (let at = 0; at < quarters; at += 1) [x, y] = [SIDE - y, x];
  return { x, y };
};
const mirrored = ({ x, y }: Place) => ({ x: SIDE - x, y });
const slanted = ({ x, y }: Place) => ({ x: y, y: x });

describe('whether a map carries outlines onto themselves', () => {
  it('lets through what carries them onto themselves, whole repeats further too', () => {
    const kept = carriedBy(painted(SQUARE), GRID);
    const far = fc.integer({ min: -5, max: 5 });
    fc.assert(
      fc.property(fc.nat(3), fc.boolean(), fc.boolean(), far, far, (quarters, mirror, slant, right, down) => {
        const map = (place: Place) => {
          const once = turned(quarters)(mirror ? mirrored(place) : place);
          const { x, y } = slant ? slanted(once) : once;
          return { x: x + right * SIDE, y: y + down * SIDE };
        };
        expect(kept(map)).toBe(true);
      }),
    );
  });

  it('takes what is off by rounding for the same, and no more', () => {
    const kept = carriedBy(painted(TRIANGLE), GRID);
    for (const by of [-4, -1, 0, 1, 4]) expect(kept(({ x, y }) => ({ x: x + by, y: y - by }))).toBe(true);
    for (const by of [-200, 200]) expect(kept(({ x, y }) => ({ x: x + by, y }))).toBe(false);
  });

  it.each<[string, (place: Place) => Place]>([
    ['turned by a quarter', turned(1)],
    ['turned by half', turned(2)],
    ['mirrored', mirrored],
    ['mirrored in a diagonal', slanted],
    ['moved by a tenth', ({ x, y }) => ({ x: x + SIDE / 10, y })],
  ])('turns down a triangle %s', (_, map) => {
    expect(carriedBy(painted(TRIANGLE), GRID)(map)).toBe(false);
  });

  it('sees a notch that is a hundredth wide', () => {
    const notched = [
      path(
        [0.3, 0.3],
        [0.61, 0.3],
        [0.61, 0.31],
        [0.62, 0.31],
        [0.62, 0.3],
        [0.7, 0.3],
        [0.7, 0.7],
        [0.3, 0.7],
      ),
    ];
    expect(carriedBy(painted(notched), GRID)(mirrored)).toBe(false);
    expect(carriedBy(painted(notched), GRID)((place) => place)).toBe(true);
  });

  it('sees holes', () => {
    const holed = [...SQUARE, path([0.4, 0.4], [0.4, 0.5], [0.6, 0.5], [0.6, 0.4])];
    const kept = carriedBy(painted(holed), GRID);
    expect(kept(mirrored)).toBe(true);
    expect(kept(turned(2))).toBe(false);
  });

  it('tells nothing of what is everywhere or nowhere', () => {
    const all = [path([0, 0], [1, 0], [1, 1], [0, 1])];
    for (const paths of [[], all]) expect(carriedBy(painted(paths), GRID)(turned(1))).toBe(true);
  });
});
