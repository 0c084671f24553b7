import { describe, expect, it } from 'vitest';
import { boxTorus, strapThrough } from '../../../../tests/strap-lines.ts';
import { circleArc, onArc } from '../sink.ts';
import { cellsFor, solveOrder } from './solve-order.ts';
import { ONE_CELL } from './strap-cells.ts';
import { courseOf, strapFacts } from './strap-course.ts';
import { type StrapLine, strapPoints } from './strap-line.ts';
import { type StrapNet, strapNet } from './strap-net.ts';
import { orderRule, type StrapOrder } from './strap-order.ts';

function circle(x: number, y: number, radius: number, line = 0): StrapLine {
  const arc = circleArc({ x, y }, radius, 0, 2 * Math.PI);
  const contour = { start: onArc(arc, 0), segments: [{ kind: 'arc', arc }], closed: true } as const;
  return { name: { piece: 1, line }, style: 0, points: strapPoints(contour), run: 'closed' };
}

function netOf(lines: readonly StrapLine[], width: number, height = width): StrapNet {
  return strapNet(lines, boxTorus(width, height));
}

function factsOf(net: StrapNet, order: StrapOrder = { by: 'turns' }, cells = ONE_CELL) {
  const rule = orderRule(net, order);
  const solved = solveOrder(net.crossings.length, rule, cells);
  return { solved, ...strapFacts(courseOf(net, rule, solved, { swapped: false, turned: [] })) };
}

const TRELLIS = [strapThrough('0,0 4,4'), strapThrough('0,4 4,0', { line: 1 })];

describe('crossings on the torus', () => {
  it('of a trellis are in the middle of the box and at its corner', () => {
    const { straps, crossings, flaws } = netOf(TRELLIS, 4);
    expect(straps.map(({ comes }) => comes)).toEqual([
      [1, 1],
      [1, -1],
    ]);
    expect(crossings.map(({ at }) => at)).toEqual([
      { x: 0, y: 0 },
      { x: 2, y: 2 },
    ]);
    expect(flaws).toEqual([]);
  });

  it('are found at corners of the lines too, and where a line crosses itself', () => {
    const corners = netOf([strapThrough('0,2 2,2 4,2'), strapThrough('2,0 2,2 2,4', { line: 1 })], 4);
    expect(corners.crossings.map(({ at }) => at)).toEqual([{ x: 2, y: 2 }]);
    const loop = netOf([strapThrough('0,1 3,1 3,3 1,3 1,0 2,-1 4,1')], 8);
    expect(loop.crossings).toHaveLength(1);
    expect(loop.crossings[0]!.passages.map(({ strap }) => strap)).toEqual([0, 0]);
  });

  it('of circles lie where they should to a thousandth of a millimetre', () => {
    // Circles of radius 5, six apart: they cross 4 above and below the line between their middles.
    const { crossings } = netOf([circle(10, 10, 5), circle(16, 10, 5, 1)], 40);
    expect(crossings).toHaveLength(2);
    for (const { at } of crossings) {
      expect(at.x).toBeCloseTo(13, 2);
      expect(Math.abs(at.y - 10)).toBeCloseTo(4, 2);
    }
  });

  it.each([
    ['touch', ['0,0 2,2 4,0', '0,4 2,2 4,4']],
    ['end', ['0,2 4,2', '1,0 1,2']],
    ['three', ['0,2 4,2', '2,0 2,4', '0,0 4,4']],
    ['along', ['0,2 4,2', '1,1 1,2 3,2 3,1']],
  ] as const)('are told from lines that %s', (kind, lines) => {
    const net = netOf(
      lines.map((text, line) => strapThrough(text, { line })),
      4,
    );
    expect(net.flaws.map((flaw) => flaw.kind)).toContain(kind);
  });

  it('are judged exactly where doubles cannot tell', () => {
    // The corner lies on the line 0.1·√3 up, or a billionth of a millimetre off it.
    const level = (by: string) => [
      strapThrough(`0,√3/10 4,√3/10`),
      strapThrough(`1,3 2,${by} 3,3`, { line: 1 }),
    ];
    expect(netOf(level('√3/10'), 4).flaws.map(({ kind }) => kind)).toEqual(['touch']);
    expect(netOf(level('√3/10+1/1000000000'), 4).flaws).toEqual([]);
    const through = netOf(level('√3/10-1/1000000000'), 4);
    expect(through.flaws.length + through.crossings.length).toBeGreaterThan(0);
  });

  it('join lines end to end, turned and moved as they lie', () => {
    const plait = [
      strapThrough('0,0 2,1'),
      strapThrough('4,2 2,1', { line: 1 }),
      strapThrough('1,3 3,3', { line: 2 }),
    ];
    const { straps } = netOf(plait, 4);
    expect(straps.map(({ comes, points }) => [comes, points.length])).toEqual([
      [null, 3],
      [null, 2],
    ]);
    const tall = strapNet(plait, boxTorus(4, 2));
    expect(tall.straps[0]!.comes).toEqual([1, 1]);
  });
});

describe('over and under in turn', () => {
  it('needs two boxes where a trellis has one crossing a box, by one lattice of three', () => {
    const net = netOf([strapThrough('0,2 4,2'), strapThrough('2,0 2,4', { line: 1 })], 4);
    const rule = orderRule(net, { by: 'turns' });
    expect(solveOrder(1, rule, ONE_CELL).broken).toBe(2);
    expect(cellsFor(1, rule)).toEqual([{ across: 2, shift: 1, up: 1 }]);
    const { straps, layers, solved } = factsOf(net, { by: 'turns' }, { across: 2, shift: 1, up: 1 });
    expect(solved.broken).toBe(0);
    expect(layers).toHaveLength(1);
    // One strap across and one up, each two boxes long.
    expect(straps.map(({ length, crossings, overs }) => [length, crossings, overs])).toEqual([
      [8, 2, 1],
      [8, 2, 1],
    ]);
  });

  it('comes out where the box has two crossings', () => {
    const net = netOf(TRELLIS, 4);
    const { solved, crossings, layers } = factsOf(net);
    expect(solved.broken).toBe(0);
    expect(crossings.map(({ over }) => over).sort()).toEqual([0, 1]);
    expect(layers).toHaveLength(1);
  });

  it('cannot be where a strap ends between others', () => {
    const net = netOf(
      [
        strapThrough('0,1 4,1'),
        strapThrough('0,3 4,3', { line: 1 }),
        strapThrough('2,0 2,2', { line: 2 }),
        strapThrough('1,0 1,4', { line: 3 }),
      ],
      4,
    );
    expect(cellsFor(net.crossings.length, orderRule(net, { by: 'turns' }))).toEqual([]);
  });
});

describe('weaves of straps', () => {
  const grid = (ends: number, picks: number) => [
    ...Array.from({ length: ends }, (_, at) => strapThrough(`${at},0 ${at},${picks}`, { line: at })),
    ...Array.from({ length: picks }, (_, at) =>
      strapThrough(`0,${at} ${ends},${at}`, { line: ends + at, style: 1 }),
    ),
  ];

  it.each([
    ['plain', { by: 'twill', over: 1, under: 1, climbs: 'right' }, 2],
    ['twill 2/1', { by: 'twill', over: 2, under: 1, climbs: 'right' }, 3],
    ['twill 2/2', { by: 'twill', over: 2, under: 2, climbs: 'left' }, 4],
    ['a basket of two', { by: 'basket', straps: 2 }, 8],
    ['a basket of three', { by: 'basket', straps: 3 }, 18],
  ] as const)('%s of one crossing a box repeats in as many boxes as its period', (_, order, period) => {
    const net = netOf(grid(1, 1), 1);
    const rule = orderRule(net, order);
    const [cells] = cellsFor(1, rule);
    expect(cells!.across * cells!.up).toBe(period);
    const side = order.by === 'basket' ? 2 * order.straps : period;
    const whole = netOf(grid(side, side), side);
    expect(factsOf(whole, order).solved.broken).toBe(0);
    expect(cellsFor(side ** 2, orderRule(whole, order))).toEqual([ONE_CELL]);
  });

  it('in which one family lies over the other fall apart', () => {
    const { layers, straps } = factsOf(netOf(grid(2, 2), 2), { by: 'family' });
    expect(layers).toHaveLength(4);
    expect(straps.map(({ overs }) => overs)).toEqual([0, 0, 2, 2]);
  });

  it('are refused of straps that have no families', () => {
    const three = [
      strapThrough('0,0 4,0'),
      strapThrough('0,0 0,4', { line: 1 }),
      strapThrough('1,0 5,4', { line: 2 }),
    ];
    expect(() => orderRule(netOf(three, 4), { by: 'twill', over: 1, under: 1, climbs: 'right' })).toThrow(
      'straps/families',
    );
    expect(() => orderRule(netOf(three, 4), { by: 'family' })).toThrow('straps/rank');
  });
});
