import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { boxTorus, strapThrough } from '../../../../tests/strap-lines.ts';
import { blockLabel, blockLabels, cyclicLabels, type LabelGroup } from './label-group.ts';
import { cellsFor, isKeptIn, solveOrder } from './solve-order.ts';
import { cellAt, cellCount, latticesOf, ONE_CELL, stepOfCell } from './strap-cells.ts';
import { courseOf, strapFacts } from './strap-course.ts';
import type { StrapLine } from './strap-line.ts';
import { type StrapNet, strapNet } from './strap-net.ts';
import { orderRule, type StrapOrder } from './strap-order.ts';
import { addSteps } from './strap-torus.ts';

const SIDE = 12;

type Corner = readonly [x: number, y: number];

const someStraps = fc.array(
  fc.record({
    start: fc.tuple(fc.nat(SIDE - 1), fc.nat(SIDE - 1)),
    way: fc.constantFrom<Corner>([1, 0], [0, 1], [1, 1], [1, -1], [2, 1]),
    between: fc.tuple(fc.nat(2 * SIDE), fc.nat(2 * SIDE)),
  }),
  { minLength: 2, maxLength: 4 },
);

type Told = readonly { start: Corner; way: Corner; between: Corner }[];

function linesOf(told: Told, by: Corner = [0, 0]): readonly StrapLine[] {
  const moved = ([x, y]: Corner): Corner => [x + by[0], y + by[1]];
  return told
    .filter(({ start, between }) => start[0] !== between[0] || start[1] !== between[1])
    .map(({ start, way, between }, line) =>
      strapThrough(
        [moved(start), moved(between), moved([start[0] + way[0] * SIDE, start[1] + way[1] * SIDE])],
        { line },
      ),
    )
    .filter(({ points }) =>
      points.every(({ place }, at) => {
        const next = points[at + 1]?.place;
        return next === undefined || next.x !== place.x || next.y !== place.y;
      }),
    );
}

describe('any straps', () => {
  it('cross as often wherever they are moved, and alternate as well', () => {
    fc.assert(
      fc.property(
        someStraps,
        fc.tuple(fc.integer({ min: -30, max: 30 }), fc.integer({ min: -30, max: 30 })),
        (told, by) => {
          const here = strapNet(linesOf(told), boxTorus(SIDE));
          const there = strapNet(linesOf(told, by), boxTorus(SIDE));
          expect(there.crossings).toHaveLength(here.crossings.length);
          expect(there.flaws.map(({ kind }) => kind).sort()).toEqual(
            here.flaws.map(({ kind }) => kind).sort(),
          );
          const isKept = (net: StrapNet) =>
            isKeptIn(net.crossings.length, orderRule(net, { by: 'turns' }), ONE_CELL);
          expect(isKept(there)).toBe(isKept(here));
        },
      ),
      { numRuns: 150 },
    );
  });

  it('pass each crossing twice, in order along them', () => {
    fc.assert(
      fc.property(someStraps, (told) => {
        const { crossings, routes } = strapNet(linesOf(told), boxTorus(SIDE));
        expect(routes.flat()).toHaveLength(2 * crossings.length);
        for (const route of routes) {
          const alongs = route.map(({ crossing, which }) => crossings[crossing]!.passages[which].along);
          expect(alongs).toEqual([...alongs].sort((a, b) => a - b));
        }
      }),
      { numRuns: 100 },
    );
  });

  it('keep an order in the cells that are named for it, and in none of fewer', () => {
    fc.assert(
      fc.property(someStraps, (told) => {
        const net = strapNet(linesOf(told), boxTorus(SIDE));
        const count = net.crossings.length;
        const rule = orderRule(net, { by: 'turns' });
        const fitting = cellsFor(count, rule);
        for (const cells of fitting) expect(solveOrder(count, rule, cells).broken).toBe(0);
        const fewer = fitting.length === 0 ? 1 : cellCount(fitting[0]!) - 1;
        for (let cells = 1; cells <= fewer; cells += 1) {
          for (const lattice of latticesOf(cells)) {
            expect(solveOrder(count, rule, lattice).broken).toBeGreaterThan(0);
          }
        }
      }),
      { numRuns: 150 },
    );
  });
});

describe('lattices of cells', () => {
  it.each([1, 2, 3, 4, 6, 12])('of %i cells are as many as its divisors add up to', (count) => {
    // The sublattices of an index of ℤ²: the sum of its divisors.
    const divisors = Array.from({ length: count }, (_, at) => at + 1).filter((each) => count % each === 0);
    expect(latticesOf(count)).toHaveLength(divisors.reduce((sum, each) => sum + each, 0));
  });

  it('lead each vector to one cell, and their own vectors to the first', () => {
    for (const cells of latticesOf(6)) {
      expect(cellAt(cells, [cells.across, 0])).toBe(0);
      expect(cellAt(cells, [cells.shift, cells.up])).toBe(0);
      for (let cell = 0; cell < 6; cell += 1) {
        const step = addSteps(stepOfCell(cells, cell), [-3 * cells.across, 0]);
        expect(cellAt(cells, step)).toBe(cell);
      }
    }
  });
});

describe('labels', () => {
  it.each<readonly [string, LabelGroup]>([
    ['of a period', cyclicLabels(5)],
    ['of blocks of two', blockLabels(2)],
    ['of blocks of three', blockLabels(3)],
  ])('%s are put together and taken back', (_, { count, sum, inverse }) => {
    for (let one = 0; one < count; one += 1) {
      expect(sum(one, inverse(one))).toBe(0);
      expect(sum(0, one)).toBe(one);
      for (let other = 0; other < count; other += 1) expect(sum(one, other)).toBe(sum(other, one));
    }
  });

  it('of blocks come again after so many both ways', () => {
    expect(blockLabel(3, 3, 3)).toBe(0);
    expect(blockLabel(3, 6, 0)).toBe(0);
    expect(blockLabel(3, 0, 6)).toBe(0);
    expect(blockLabel(3, 3, 0)).not.toBe(0);
  });
});

describe('straps as warp and weft', () => {
  const grid = (count: number) => {
    const warp = Array.from({ length: count }, (_, at) =>
      strapThrough(`${at},0 ${at},${count}`, { line: at }),
    );
    const weft = Array.from({ length: count }, (_, at) =>
      strapThrough(`0,${at} ${count},${at}`, { line: count + at, style: 1 }),
    );
    return strapNet([...warp, ...weft], boxTorus(count));
  };

  /** Whether the warp is on top, by end and pick. */
  const upAt = (count: number, order: StrapOrder) => {
    const net = grid(count);
    const rule = orderRule(net, order);
    const solved = solveOrder(net.crossings.length, rule, ONE_CELL);
    const { crossings } = strapFacts(courseOf(net, rule, solved, { swapped: false, turned: [] }));
    const up = new Map(
      crossings.map(({ at, over }) => [`${Math.round(at.x)} ${Math.round(at.y)}`, over < count] as const),
    );
    return (end: number, pick: number) =>
      up.get(`${((end % count) + count) % count} ${((pick % count) + count) % count}`)!;
  };

  it.each([
    [2, 2],
    [2, 1],
    [3, 1],
    [1, 4],
  ] as const)('twill %i/%i goes over so many and under so many, a strap further each pick', (over, under) => {
    const count = over + under;
    for (const climbs of ['right', 'left'] as const) {
      const up = upAt(count, { by: 'twill', over, under, climbs });
      for (let pick = 0; pick < count; pick += 1) {
        const row = Array.from({ length: count }, (_, end) => up(end, pick));
        expect(row.filter(Boolean)).toHaveLength(over);
        for (let end = 0; end < count; end += 1) {
          const next = climbs === 'right' ? up(end + 1, pick + 1) : up(end - 1, pick + 1);
          expect(next).toBe(up(end, pick));
        }
      }
    }
  });

  it.each([2, 3])('a basket of %i is a chessboard of blocks', (straps) => {
    const up = upAt(2 * straps, { by: 'basket', straps });
    const count = 2 * straps;
    for (let end = 0; end < count; end += 1) {
      for (let pick = 0; pick < count; pick += 1) {
        expect(up(end + straps, pick)).toBe(!up(end, pick));
        expect(up(end, pick + straps)).toBe(!up(end, pick));
      }
    }
    // Somewhere a whole block lies on one side.
    const blocks = Array.from({ length: count }, (_, end) =>
      Array.from({ length: straps }, (_, at) => up(end + at, 0)).every((each, _at, all) => each === all[0]),
    );
    expect(blocks.filter(Boolean)).toHaveLength(2);
  });
});
