import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { compile } from '../../src/core/design/compile-design.ts';
import type { Design } from '../../src/core/design/design-schema.ts';
import { motifFacts } from '../../src/core/design/motif/motif-facts.ts';
import { knotStrands } from '../../src/core/design/motif/straps/knot-panel.ts';
import { asKind } from '../../src/core/design/of-kind.ts';
import { readDesign } from '../../src/core/design/read-design.ts';
import { designFromStart } from '../../src/core/design/starts.ts';
import type { StrapSpec } from '../../src/core/design/strap/strap-schema.ts';
import { strapsOfDesign } from '../../src/core/design/strap/straps-of-design.ts';
import { randomNumbers } from '../../src/core/exact/random-numbers.ts';
import { surdToNumber } from '../../src/core/exact/surd.ts';
import { unitToSvg } from '../../src/core/formats/svg/unit-svg.ts';
import { paintTile } from '../../src/core/paint/painting.ts';
import { isKeptIn, solveOrder } from '../../src/core/shape/straps/solve-order.ts';
import { ONE_CELL } from '../../src/core/shape/straps/strap-cells.ts';
import { courseOf, strapFacts } from '../../src/core/shape/straps/strap-course.ts';
import type { StrapLine } from '../../src/core/shape/straps/strap-line.ts';
import { type StrapNet, strapNet } from '../../src/core/shape/straps/strap-net.ts';
import { orderRule } from '../../src/core/shape/straps/strap-order.ts';
import { layersOf } from '../../src/core/thread/weaves/layers.ts';
import { boxTorus, strapThrough } from '../strap-lines.ts';

const SIDE = 12;
const SQUARE = boxTorus(SIDE);

type Corner = readonly [x: number, y: number];

/** Straps through random corners, each round the torus by a random way or closed in the plane. */
function randomStraps(next: () => number): readonly StrapLine[] {
  const among = (count: number) => next() % count;
  return Array.from({ length: 2 + among(2) }, (_, line) => {
    const start: Corner = [among(SIDE), among(SIDE)];
    const ways: readonly Corner[] = [
      [0, 0],
      [1, 0],
      [0, 1],
      [1, 1],
      [1, -1],
      [2, 1],
    ];
    const [i, j] = ways[among(ways.length)]!;
    const between = Array.from({ length: 1 + among(2) }, (): Corner => [among(2 * SIDE), among(2 * SIDE)]);
    if (i === 0 && j === 0)
      return strapThrough([start, ...between, [start[0] + 5, start[1] + 3]], { line, run: 'closed' });
    return strapThrough([start, ...between, [start[0] + i * SIDE, start[1] + j * SIDE]], { line });
  });
}

/** Whether any of all 2ⁿ ways to lay n crossings has every strap over and under in turn. */
function someWayAlternates({ crossings, routes, straps }: StrapNet): boolean {
  for (let way = 0; way < 2 ** crossings.length; way += 1) {
    const isOver = ({ crossing, which }: StrapNet['routes'][number][number]) =>
      ((way >> crossing) & 1) === which;
    const alternates = routes.every((route, strapAt) =>
      route.every((place, at) => {
        const next = route[at + 1] ?? (straps[strapAt]!.comes === null ? undefined : route[0]);
        return next === undefined || isOver(place) !== isOver(next);
      }),
    );
    if (alternates) return true;
  }
  return false;
}

/**
 * Whether the regions can be coloured like a chessboard: across a closed line of the torus one comes by straps as often as
 * their ways together wind round it, evenly or not. Undefined where straps do not all hang together, or leave a region that
 * goes round the torus: what is said of discs is not said of those.
 */
function isChessboard({ straps, crossings }: StrapNet): boolean | undefined {
  const part = straps.map((_, at) => at);
  const rootOf = (at: number): number => (part[at] === at ? at : rootOf(part[at]!));
  for (const { passages } of crossings) part[rootOf(passages[0].strap)] = rootOf(passages[1].strap);
  if (new Set(part.map(rootOf)).size > 1) return undefined;
  const ways = straps.map(({ comes }) => comes!);
  if (!ways.some(([a, b]) => ways.some(([i, j]) => a * j !== b * i))) return undefined;
  return [0, 1].every((axis) => ways.reduce((sum, way) => sum + way[axis]!, 0) % 2 === 0);
}

describe('over and under in turn', () => {
  /**
   * Possible on a torus exactly where the regions can be coloured like a chessboard: N. Kamada, On the Jones polynomials
   * of checkerboard colorable virtual links, Osaka J. Math. 39 (2002) 325–333; from memory. Here held against trying every way.
   */
  it('is possible exactly where some way of all does it, and where discs are a chessboard', () => {
    const next = randomNumbers(2002);
    const seen = { yes: 0, no: 0 };
    let boards = 0;
    for (let tried = 0; seen.yes + seen.no < 2000 && tried < 20_000; tried += 1) {
      const net = strapNet(randomStraps(next), SQUARE);
      const { crossings, flaws } = net;
      if (flaws.length > 0 || crossings.length === 0 || crossings.length > 9) continue;
      const isPossible = isKeptIn(crossings.length, orderRule(net, { by: 'turns' }), ONE_CELL);
      expect(isPossible).toBe(someWayAlternates(net));
      const board = isChessboard(net);
      if (board !== undefined) {
        expect(isPossible).toBe(board);
        boards += 1;
      }
      seen[isPossible ? 'yes' : 'no'] += 1;
    }
    expect(seen.yes + seen.no).toBe(2000);
    expect(Math.min(seen.yes, seen.no, boards)).toBeGreaterThan(200);
  });
});

describe('knot panels', () => {
  /** A plait on p × q cells has gcd(p, q) strands: common knowledge of the trade. */
  it('without walls have as many strands as their sides share divisors', () => {
    const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));
    for (let columns = 1; columns <= 12; columns += 1) {
      for (let rows = 1; rows <= 12; rows += 1) {
        if (columns * rows < 2) continue;
        expect(knotStrands({ columns, rows, breaks: [] })).toHaveLength(gcd(columns, rows));
      }
    }
  });
});

describe('two families of straight straps', () => {
  const grid = (ends: number, picks: number) => {
    const torus = boxTorus(ends, picks);
    const warp = Array.from({ length: ends }, (_, at) =>
      strapThrough(`${at},0 ${at},${picks}`, { line: at }),
    );
    const weft = Array.from({ length: picks }, (_, at) =>
      strapThrough(`0,${at} ${ends},${at}`, { line: ends + at, style: 1 }),
    );
    return strapNet([...warp, ...weft], torus);
  };

  /** The theorem of Clapham and Enns as the weaves have it, on the same cloth. */
  it('hang together, or fall apart into the same layers, as their weave', () => {
    const next = randomNumbers(11);
    let apart = 0;
    for (let tried = 0; tried < 200; tried += 1) {
      const ends = 2 + (next() % 4);
      const picks = 2 + (next() % 4);
      const net = grid(ends, picks);
      const rule = orderRule(net, { by: 'family' });
      const solved = solveOrder(net.crossings.length, rule, ONE_CELL);
      const plain = strapFacts(courseOf(net, rule, solved, { swapped: false, turned: [] }));
      const turned = plain.crossings.flatMap(({ name }) => (next() % 3 === 0 ? [name] : []));
      const { layers, crossings } = strapFacts(courseOf(net, rule, solved, { swapped: false, turned }));
      const up = new Uint8Array(ends * picks);
      for (const { over, under, at } of crossings) {
        const end = Math.min(over, under);
        up[Math.round(at.y) * ends + end] = over === end ? 1 : 0;
      }
      const woven = layersOf({ ends, picks, up });
      expect(layers.map(({ length }) => length).sort()).toEqual(
        woven.map((layer) => layer.ends.length + layer.picks.length).sort(),
      );
      apart += woven.length > 1 ? 1 : 0;
    }
    expect(apart).toBeGreaterThan(20);
  });
});

describe('star patterns', () => {
  const starsOn = (config: string, angle: string) => {
    const begun = designFromStart('tiling', config);
    const line = {
      width: '1 mm',
      shade: 'B',
      ends: 'sharp',
      strap: { gap: '0.2 mm', edges: [], centre: null, dip: null },
    } as const;
    const star = { angle, apart: '0', line, fills: [], swapped: false, turned: [] };
    return readDesign({ ...begun, construction: { ...begun.construction, star } });
  };

  /**
   * C. S. Kaplan, Islamic Star Patterns from Polygons in Contact, Graphics Interface 2005: lines cross in the middle of
   * every side, once; edges a cell as B. Grünbaum and G. C. Shephard, Tilings and Patterns, 1987, have them.
   */
  it.each([
    ['4.8.8', '67.5', 6],
    ['6.6.6', '60', 3],
    ['3.12.12', '75', 9],
    ['4.6.12', '60', 18],
    ['4.4.4.4', '45', 2],
  ] as const)('on %s at %s° cross once a side and go over and under in turn', (config, angle, edges) => {
    const report = strapsOfDesign(starsOn(config, angle))!;
    expect(report.crossings).toHaveLength(edges);
    expect(report).toMatchObject({ alternates: true, kept: true, flaws: [] });
  });
});

describe('the plane group of straps, against that of their lines', () => {
  const groupsOf = (start: string) => {
    const design = designFromStart('motif', start);
    const groupOf = (change: (strap: StrapSpec) => StrapSpec | null) => {
      const pieces = design.construction.pieces.map((piece) =>
        piece.shape.kind === 'line' && piece.shape.strap !== null
          ? { ...piece, shape: { ...piece.shape, strap: change(piece.shape.strap) } }
          : piece,
      );
      const made = readDesign({ ...design, construction: { ...design.construction, pieces } });
      return motifFacts(asKind('motif', made)).symmetry?.group;
    };
    return [groupOf(() => null), groupOf((each) => ({ ...each, centre: null, dip: null }))];
  };

  /**
   * Found by looking at the cloth. Where straps of one shade cross square in turn, mirrors along their middles stay and
   * those along the diagonals become glides; where rings or strands link, no mirror is left. The groups by their symbols:
   * International Tables for Crystallography, vol. A; which group is whose is counted on paper.
   */
  it.each([
    ['lattice-of-straps', 'p4mm', 'p4gm'],
    ['linked-rings', 'p2mm', 'p2'],
    ['chain', 'p2mm', 'p2'],
    ['cane-seat', 'p6mm', 'p6'],
  ] as const)('%s: %s, and %s over and under', (start, ofLines, ofStraps) => {
    expect(groupsOf(start)).toEqual([ofLines, ofStraps]);
  });
});

describe('what is painted at a crossing', () => {
  const AT = 8;

  async function drawn(design: Design): Promise<(x: number, y: number) => string> {
    const unit = compile(design);
    const [wide, high] = [unit.pitch.x, unit.pitch.y].map(surdToNumber) as [number, number];
    const svg = unitToSvg(unit, 'Straps');
    const size = { width: Math.round(wide * AT), height: Math.round(high * AT) };
    const { data, info } = await sharp(Buffer.from(svg), { density: 25.4 * AT })
      .resize(size.width, size.height, { fit: 'fill' })
      .removeAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    return (x, y) => hexAt(data, info.width, info.channels, x, high - y, wide, high);
  }

  function painted(design: Design): (x: number, y: number) => string {
    const unit = compile(design);
    const [wide, high] = [unit.pitch.x, unit.pitch.y].map(surdToNumber) as [number, number];
    const size = { width: Math.round(wide * AT), height: Math.round(high * AT) };
    const pixels = paintTile(unit, size);
    return (x, y) => hexAt(new Uint8Array(pixels.buffer), size.width, 4, x, high - y, wide, high);
  }

  function hexAt(
    bytes: Uint8Array,
    width: number,
    channels: number,
    x: number,
    down: number,
    wide: number,
    high: number,
  ): string {
    const wrap = (value: number, size: number) => value - Math.floor(value / size) * size;
    const at = (Math.floor(wrap(down, high) * AT) * width + Math.floor(wrap(x, wide) * AT)) * channels;
    return `#${[...bytes.subarray(at, at + 3)].map((byte) => byte.toString(16).padStart(2, '0')).join('')}`;
  }

  /** Straps across and up of two shades on a third, 10 mm wide with gaps of 1 mm. */
  function trellis(): Design {
    const design = designFromStart('motif', 'trellis-of-straps');
    const { construction } = design;
    const plain = { gap: '1/5', edges: [], centre: null, dip: null };
    return readDesign({
      ...design,
      construction: {
        ...construction,
        pieces: construction.pieces.map((piece) =>
          piece.shape.kind === 'line' ? { ...piece, shape: { ...piece.shape, strap: plain } } : piece,
        ),
      },
    });
  }

  it('lets no ground through where two shades meet without a gap, whichever is above', () => {
    const design = trellis();
    const { construction } = asKind('motif', design);
    const hexes = ['#ff00ff', '#000000', '#000000'];
    const shades = design.shades.slice(0, 3).map((shade, at) => ({ ...shade, hex: hexes[at]! }));
    const pieces = construction.pieces.map((piece) =>
      piece.shape.kind === 'line'
        ? { ...piece, shape: { ...piece.shape, strap: { ...piece.shape.strap!, gap: '0' } } }
        : piece,
    );
    const made = readDesign({
      ...design,
      shades: [...shades, ...design.shades.slice(3)],
      construction: { ...construction, pieces },
    });
    const at = painted(made);
    // Both shades are black, the ground is loud: within a strap's width of a crossing's edges all is black.
    for (const { at: place, over } of strapsOfDesign(made)!.crossings) {
      const [x, y] = place;
      for (let by = -6.5; by <= 6.5; by += 1 / AT) {
        expect(over >= 2 ? at(x + by, y) : at(x, y + by)).toBe('#000000');
      }
    }
  });

  it.each(['painted', 'drawn and rendered by an image library'] as const)(
    'is the shade of the strap above, and beside it the ground, %s',
    async (how) => {
      const design = trellis();
      const report = strapsOfDesign(design)!;
      const hexAtPlace = how === 'painted' ? painted(design) : await drawn(design);
      const [ground, level, upright] = design.shades.map(({ hex }) => hex);
      expect(report.crossings).toHaveLength(4);
      for (const { at, over } of report.crossings) {
        const [x, y] = at;
        // Straps up are noted after those across.
        const isUpright = over >= 2;
        expect(hexAtPlace(x, y)).toBe(isUpright ? upright : level);
        // Half a millimetre beside the strap above, whose edge is 5 mm from its middle, and beyond the gap.
        for (const side of [-1, 1]) {
          const beside = (by: number) =>
            isUpright ? hexAtPlace(x + side * by, y) : hexAtPlace(x, y + side * by);
          expect(beside(5.5)).toBe(ground);
          expect(beside(6.5)).toBe(isUpright ? level : upright);
        }
      }
    },
  );
});
