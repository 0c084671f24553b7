import { describe, expect, it } from 'vitest';
import { sampleDesign } from '../../../../tests/sample-design.ts';
import { checkDesign } from '../../design/check-design.ts';
import { compile, compileUnit } from '../../design/compile-design.ts';
import type { Design } from '../../design/design-schema.ts';
import { ALL_LAYS } from '../../design/lay/lay-offers.ts';
import type { Arrangement, Lay } from '../../design/lay/lay-schema.ts';
import { newStripe, newTiling } from '../../design/new-design.ts';
import { readDesign } from '../../design/read-design.ts';
import { designFromStart } from '../../design/starts.ts';
import { CoreError } from '../../error.ts';
import { toNumber, toText } from '../../exact/rational.ts';
import { surdToNumber } from '../../exact/surd.ts';
import { checkPartition } from '../../faces/check-partition.ts';
import { type Cells, cellAt } from '../../thread/cells.ts';
import { partitionIn } from '../contents.ts';
import type { RepeatUnit } from '../repeat-unit.ts';

const PLAID = sampleDesign('A4 B2 C6 D1\nweave: 2/2Z\ndensity: 20/in');
const WEAVE = sampleDesign('warp: A1\nweft: B1\nweave: 2/2Z\ndensity: 20/in');
const shades = ['A', 'B', 'C'].map((key, at) => ({
  key,
  name: key,
  hex: ['#204060', '#c04020', '#e0d0a0'][at]!,
}));
const STRIPE = readDesign(
  newStripe({
    name: 'Slope',
    shades,
    bands: [
      { shade: 'A', width: '3' },
      { shade: 'B', width: '1' },
      { shade: 'C', width: '2' },
    ],
    slope: { rise: 1, run: 1 },
    measured: 'edge',
    resolution: '254',
  }),
);
const HEXAGONS = readDesign(
  newTiling({ name: 'Hexagons', shades, form: { kind: 'regular', name: '6.6.6' }, colours: 'neighbours' }),
);
const SQUARES = readDesign(
  newTiling({
    name: 'Squares with lines',
    shades,
    form: { kind: 'regular', name: '4.4.4.4' },
    colours: 'neighbours',
    lines: [
      { what: 'sides', of: null, dashes: null, skip: 1, width: '1 mm', ends: 'round', shade: 'C' },
    ] as never,
  }),
);
const MOTIF = readDesign(designFromStart('motif', 'dots'));

function laid(design: Design, arrangement: Arrangement, more: Partial<Lay> = {}): Design {
  return { ...design, lay: { ...design.lay, arrangement, ...more } };
}

const NAMED = {
  plaid: PLAID,
  weave: WEAVE,
  stripe: STRIPE,
  hexagons: HEXAGONS,
  squares: SQUARES,
  motif: MOTIF,
};

describe('every lay of every construction', () => {
  const cases = Object.entries(NAMED).flatMap(([name, design]) =>
    ALL_LAYS.map((lay) => [name, JSON.stringify(lay), design, lay] as const),
  );

  it.each(cases)('%s %s is proven and painted, or refused with its reason', (_, __, design, lay) => {
    const wanted = laid(design, lay);
    let report: ReturnType<typeof checkDesign>;
    try {
      report = checkDesign(wanted, { resolution: '40' });
    } catch (error) {
      expect(error).toBeInstanceOf(CoreError);
      expect((error as CoreError).code).toMatch(/^lay\/(sixty|square)$/);
      return;
    }
    const { x, y } = compile(wanted).lattice[1];
    const { grid } = compile(wanted);
    const isWhole = grid.step === 'mm' || (x.d === 1n && y.d === 1n && compile(wanted).lattice[0].y.d === 1n);
    expect(report.verdict === 'Open' ? report.open : 'closed').toBe(isWhole ? 'closed' : 'threads');
  });
});

const cellsOf = (unit: RepeatUnit) => unit.content as Cells;

/** Shade at an end and a pick from the lower left. */
function shadeAt(cells: Cells, end: number, pick: number): number {
  return cellAt(cells, end, cells.height - 1 - pick);
}

describe('threads', () => {
  const built = compileUnit(PLAID).content;
  const { width, height } = built;

  it('in a half-drop lie half their picks higher in every second column', () => {
    const even = sampleDesign('A4 B2 C6\nweave: 2/2Z\ndensity: 20/in');
    const straight = compileUnit(even).content;
    const cells = cellsOf(compile(laid(even, { kind: 'half-drop', by: '1/2' })));
    expect([cells.width, cells.height]).toEqual([2 * straight.width, straight.height]);
    for (let end = 0; end < straight.width; end += 1) {
      for (let pick = 0; pick < straight.height; pick += 1) {
        expect(shadeAt(cells, straight.width + end, pick + straight.height / 2)).toBe(
          shadeAt(straight, end, pick),
        );
      }
    }
  });

  it('mirrored both ways turn back on their last thread, or meet themselves', () => {
    const mirrored = { kind: 'group', group: 'p2mm', way: 'across' } as const;
    const shared = cellsOf(compile(laid(PLAID, mirrored, { pivots: 'shared' })));
    expect([shared.width, shared.height]).toEqual([2 * width - 2, 2 * height - 2]);
    expect(shadeAt(shared, width, 3)).toBe(shadeAt(shared, width - 2, 3));
    const doubled = cellsOf(compile(laid(PLAID, mirrored, { pivots: 'doubled' })));
    expect([doubled.width, doubled.height]).toEqual([2 * width, 2 * height]);
    expect(shadeAt(doubled, width, 3)).toBe(shadeAt(doubled, width - 1, 3));
  });

  it('that cannot be halved stay open, by their lattice', () => {
    const odd = sampleDesign(
      'A4 B2 C5\nprint: yes\ndensity: 20/in'.replace('\nprint: yes', '\nweave: plain'),
    );
    const picks = compileUnit({ ...odd, construction: { ...odd.construction, crossing: 'printed' } }).content
      .height;
    expect(picks).toBe(11);
    const open = laid({ ...odd, construction: { ...odd.construction, crossing: 'printed' } } as Design, {
      kind: 'half-drop',
      by: '1/2',
    });
    expect(toText(compile(open).lattice[0].y)).toBe('11/2');
    expect(checkDesign(open)).toMatchObject({
      verdict: 'Open',
      open: 'threads',
      cuts: [{ of: 'picks', closing: [{ threads: 10 }, { threads: 12 }], steps: ['5/11', '6/11'] }],
    });
    expect(checkDesign(laid(open, { kind: 'half-drop', by: '1/11' })).verdict).not.toBe('Open');
  });

  it('step by two ways that are counted in threads', () => {
    const ways = {
      kind: 'free',
      across: { x: String(width), y: '3' },
      up: { x: '0', y: String(height) },
    } as const;
    const unit = compile(laid(PLAID, ways));
    expect(toText(unit.lattice[0].y)).toBe('3');
    expect(checkDesign(laid(PLAID, ways)).numbers.closed).toBe(true);
    const gaps = {
      kind: 'free',
      across: { x: String(width), y: '3' },
      up: { x: '2', y: String(height) },
    } as const;
    expect(() => compile(laid(PLAID, gaps))).toThrow('lay/gaps');
  });
});

describe('faces', () => {
  it.each(
    [STRIPE, HEXAGONS].flatMap((design) =>
      (['p2mm', 'pg', 'cm', 'p2', 'p2gg', 'c2mm'] as const).map((group) => [group, design] as const),
    ),
  )('cut at mirrors cover the repeat once: %s', (group, design) => {
    const built = compileUnit(design as Design);
    const unit = compile(laid(design as Design, { kind: 'group', group, way: 'across' }));
    expect(checkPartition(partitionIn(unit)!).closed).toBe(true);
    expect(surdToNumber(unit.pitch.x) / surdToNumber(built.pitch.x)).toBeCloseTo(
      group === 'pg' ? 1 : group === 'c2mm' ? 4 : 2,
      9,
    );
  });

  it('of a third step lie three rows high, and close', () => {
    const unit = compile(laid(HEXAGONS, { kind: 'brick', by: '1/3' }));
    const built = compileUnit(HEXAGONS);
    expect(surdToNumber(unit.pitch.y)).toBeCloseTo(3 * surdToNumber(built.pitch.y), 9);
    expect(toText(unit.lattice[1].x)).toBe('1/3');
    expect(checkPartition(partitionIn(unit)!).closed).toBe(true);
  });
});

describe('a scale', () => {
  it('by a fraction, to a width, or so many in a length is exact', () => {
    const size = (scale: Lay['scale'], design: Design = HEXAGONS) =>
      compile(laid(design, { kind: 'straight' }, { scale })).pitch;
    const built = compileUnit(HEXAGONS).pitch;
    expect(surdToNumber(size({ to: 'factor', factor: '30%', lines: true }).x)).toBeCloseTo(
      0.3 * surdToNumber(built.x),
      12,
    );
    expect(surdToNumber(size({ to: 'width', width: '120 mm', lines: true }).x)).toBe(120);
    expect(surdToNumber(size({ to: 'count', count: '7', length: '1 m', lines: true }).x)).toBe(1000 / 7);
    expect(toNumber({ n: 1n, d: 2n }) * surdToNumber(built.y)).toBeCloseTo(
      surdToNumber(size({ to: 'factor', factor: '1/2', lines: true }).y),
      12,
    );
  });

  it('takes lines with it, or leaves them as wide as they are', () => {
    const width = (lines: boolean) => {
      const unit = compile(
        laid(SQUARES, { kind: 'straight' }, { scale: { to: 'factor', factor: '2', lines } }),
      );
      const [mark] = unit.content.kind === 'marks' ? unit.content.marks : [];
      return mark?.shape.kind === 'stroke' ? toNumber(mark.shape.width) : undefined;
    };
    expect([width(true), width(false)]).toEqual([2, 1]);
  });
});

describe('a slope', () => {
  it.each([
    ['plaid', PLAID, 25],
    ['stripe', STRIPE, 25],
    ['squares', SQUARES, 25],
    ['motif', MOTIF, 25],
  ] as const)('of three on four turns a %s, which then repeats', (_, design, __) => {
    const turned = laid(design as Design, { kind: 'straight' }, { slope: { up: 3, across: 4, asked: null } });
    const report = checkDesign(turned, { resolution: '40' });
    expect(report.verdict).not.toBe('Open');
  });

  it('of squares has the size that Pythagoras gives', () => {
    const { pitch } = compile(
      laid(SQUARES, { kind: 'straight' }, { slope: { up: 3, across: 4, asked: null } }),
    );
    const side = surdToNumber(compileUnit(SQUARES).pitch.x);
    expect(surdToNumber(pitch.x)).toBeCloseTo(5 * side, 9);
    expect(surdToNumber(pitch.y)).toBeCloseTo(5 * side, 9);
  });
});
