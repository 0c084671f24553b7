import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { surdToNumber } from '../../exact/surd.ts';
import { parseSurd, surdText } from '../../exact/surd-text.ts';
import { partitionIn } from '../../repeat/contents.ts';
import { checkDesign } from '../check-design.ts';
import { compileUnit } from '../compile-design.ts';
import type { TilingDesign } from '../design-schema.ts';
import { tilingGeometry, tilingToCsv } from '../exchange/tiling-geometry.ts';
import { newTiling, type TilingOrder } from '../new-design.ts';
import { readDesign } from '../read-design.ts';
import { shadesUsed, withShadeReplaced } from '../shades-used.ts';
import type { FormSpec } from './form-schema.ts';
import { tilingFacts } from './tiling-facts.ts';

const SHADES = ['#203040', '#f0e8d0', '#a03020', '#508060'].map((hex, at) => ({
  key: 'ABCD'[at]!,
  name: `Shade ${at + 1}`,
  hex,
}));

const HEXAGONS: FormSpec = { kind: 'regular', name: '6.6.6' };
const OCTAGONS: FormSpec = { kind: 'regular', name: '4.8.8' };
const SQUARES: FormSpec = { kind: 'regular', name: '4.4.4.4' };

function tiling(form: FormSpec, more: Partial<TilingOrder> = {}): TilingDesign {
  return newTiling({ name: 'Floor', shades: SHADES, form, ...more });
}

/** A design with everything that may lie over its faces. */
const FULL = tiling(OCTAGONS, {
  scatter: { times: 2, seed: 7, share: '1/2', by: '1/8' },
  rings: [{ share: '3/4', shade: 'B' }],
  fade: { shades: ['A', 'C'], angle: 3, turned: true, of: '8' },
  gaps: { by: '1/2', corner: '2 mm', shade: 'D' },
  lines: [
    {
      what: 'stars',
      of: '8',
      width: '1',
      shade: 'B',
      ends: 'sharp',
      dashes: null,
      skip: 3,
      every: 1,
      first: 0,
    },
    {
      what: 'sides',
      of: '4|8',
      width: '1/3',
      shade: 'C',
      ends: 'flat',
      dashes: { count: 3, share: '1/2' },
      skip: 1,
      every: 1,
      first: 0,
    },
  ],
});

describe('sizes of tilings', () => {
  const widthOf = (design: TilingDesign) => surdText(compileUnit(design).pitch.x);

  it.each<[string, FormSpec, Partial<TilingOrder>, string]>([
    // A hexagon 30 across its flats has sides of 10√3; the repeat is three sides wide.
    ['flats', HEXAGONS, { size: '30', measured: 'flats', colours: 'sides' }, '30√3'],
    ['corners', HEXAGONS, { size: '30', measured: 'corners', colours: 'sides' }, '45'],
    ['flats of an octagon', OCTAGONS, { size: '30', measured: 'flats' }, '30'],
    ['repeats', OCTAGONS, { size: '600', measured: 'repeat', repeats: 24 }, '25'],
  ])('by %s', (_, form, more, width) => {
    expect(widthOf(tiling(form, more))).toBe(width);
  });

  it('say where a width cannot be exact', () => {
    expect(() => compileUnit(tiling(OCTAGONS, { size: '30', measured: 'corners' }))).toThrow('tiling/across');
  });
});

describe('tilings stretched, leant and turned until level', () => {
  it.each<[string, FormSpec, Partial<TilingOrder>, readonly [string, string]]>([
    ['stretched', SQUARES, { stretch: '3/4' }, ['20', '15']],
    ['leant', SQUARES, { shear: '1/3' }, ['20', '60']],
    ['level', SQUARES, { diagonal: '4/3' }, ['100', '100']],
    ['turned and stretched: 3:4 diamonds', SQUARES, { turn: 3, stretch: '4/3' }, ['20√2', '80√2/3']],
  ])('%s', (_, form, more, size) => {
    const design = tiling(form, { colours: 'sides', ...more });
    const { pitch } = compileUnit(design);
    expect([surdText(pitch.x), surdText(pitch.y)]).toEqual(size);
    expect(checkDesign({ ...design, resolution: '50' })).toMatchObject({
      numbers: { closed: true },
      painted: { differingBytes: 0 },
    });
  });

  it('say why there is no repeat', () => {
    expect(() => compileUnit(tiling({ kind: 'regular', name: '3.3.3.4.4' }, { diagonal: '1' }))).toThrow(
      'tiling/level',
    );
    expect(() => compileUnit(tiling(OCTAGONS, { turn: 1, shear: '1/2' }))).toThrow('tiling/shear');
  });
});

describe('colours in rows, by hand and scattered', () => {
  it.each(['first', 'second', 'diagonal'] as const)(
    'rows along the %s way take their shades in turn',
    (way) => {
      const design = tiling(HEXAGONS, { colours: { by: 'rows', way, count: 3 } });
      const base = partitionIn(compileUnit(design));
      const counts = [0, 1, 2].map((shade) => base.faces.filter((face) => face.fill.shade === shade).length);
      expect(new Set(counts).size).toBe(1);
      expect(counts[0]).toBeGreaterThan(0);
      expect(checkDesign({ ...design, resolution: '40' }).numbers.closed).toBe(true);
    },
  );

  it('by hand repeat after their block', () => {
    const shades = ['A', 'B', 'C', 'D', 'A', 'B'];
    const design = tiling(SQUARES, { colours: { by: 'hand', across: 3, up: 2, shades } });
    const { pitch, content } = compileUnit(design);
    expect([surdText(pitch.x), surdText(pitch.y)]).toEqual(['60', '40']);
    expect(partitionIn({ content }).faces.map(({ fill }) => fill.shade)).toEqual([0, 1, 2, 3, 0, 1]);
  });

  it('scattered by a seed are the same each time, other by another, and repeat over so many cells', () => {
    const scattered = (seed: number) =>
      compileUnit(
        tiling(SQUARES, {
          colours: 'faces',
          faces: ['A'],
          scatter: { times: 12, seed, share: '1/3', by: '1/10' },
        }),
      );
    const shadesOf = (unit: ReturnType<typeof scattered>) =>
      partitionIn(unit).faces.map(({ fill }) => fill.shade);
    expect(shadesOf(scattered(5))).toEqual(shadesOf(scattered(5)));
    expect(shadesOf(scattered(5))).not.toEqual(shadesOf(scattered(6)));
    expect(surdText(scattered(5).pitch.x)).toBe('240');
    const taken = shadesOf(scattered(5)).filter((shade) => shade !== 0).length;
    expect(taken).toBeGreaterThan(144 / 4);
    expect(taken).toBeLessThan((144 * 5) / 12);
  });

  it('cover the repeat once, whatever block or seed', () => {
    const small = fc.integer({ min: 1, max: 4 });
    fc.assert(
      fc.property(small, small, fc.integer({ min: 0, max: 1000 }), (across, up, seed) => {
        const colours = { by: 'hand', across, up, shades: ['A', 'B', 'C'] } as const;
        const scatter = { times: 2, seed, share: '1/2', by: '1/9' };
        const design = tiling(HEXAGONS, { colours: { ...colours, shades: [...colours.shades] }, scatter });
        const facts = tilingFacts(design);
        expect(facts.proof.closed).toBe(true);
        expect(facts.faces % (across * up)).toBe(0);
      }),
      { numRuns: 20 },
    );
  });
});

describe('what lies over faces, in a document', () => {
  it('is read back as it was written, and names every shade that it uses', () => {
    expect(readDesign(JSON.parse(JSON.stringify(FULL)))).toEqual(FULL);
    const keys = new Set(shadesUsed(FULL.construction).map(({ key }) => key));
    expect(keys).toEqual(new Set(['A', 'B', 'C', 'D']));
    const replaced = withShadeReplaced(FULL.construction, 'C', 'A');
    expect(shadesUsed(replaced).some(({ key }) => key === 'C')).toBe(false);
  });

  it.each<[string, Partial<Record<keyof TilingDesign['construction'], unknown>>]>([
    ['lines without a width', { lines: [{ ...FULL.construction.lines[0], width: '0' }] }],
    ['lines of no kind', { lines: [{ ...FULL.construction.lines[0], of: 'all' }] }],
    [
      'dashes as long as their places',
      { lines: [{ ...FULL.construction.lines[1], dashes: { count: 2, share: '1' } }] },
    ],
    ['lines in a shade that is not there', { lines: [{ ...FULL.construction.lines[0], shade: 'Z' }] }],
    ['a fade of one shade', { fade: { ...FULL.construction.fade, shades: ['A'] } }],
    ['gaps below nothing', { gaps: { by: '-1', corner: '0', shade: 'A' } }],
    ['a block without shades', { colours: { by: 'hand', across: 1, up: 1, shades: [] } }],
    ['one row in turn', { colours: { by: 'rows', way: 'first', count: 1 } }],
    ['a lean of a whole', { shear: '1' }],
    ['a diagonal beyond reason', { diagonal: '1/1000000000' }],
    ['a stretch to nothing', { stretch: '0' }],
    ['a grown face of five sides', { form: { kind: 'grown', faces: [{ on: null, shape: 5 }] } }],
    ['a rhombus without an angle', { form: { kind: 'grown', faces: [{ on: null, shape: { angle: 12 } }] } }],
    ['pentagons that are none', { form: { kind: 'pentagons', half: '1/2' } }],
    ['bricks as wide as long', { form: { kind: 'herringbone', width: '1' } }],
  ])('%s are refused', (_, change) => {
    const document = { ...FULL, construction: { ...FULL.construction, ...change } };
    expect(() => readDesign(document)).toThrow(expect.objectContaining({ code: 'design/field' }));
  });

  it('comes with version 8: older tilings had nothing over their faces', () => {
    const plain = tiling(OCTAGONS);
    const {
      stretch: _,
      shear: __,
      diagonal: ___,
      repeats: ____,
      scatter,
      fade,
      gaps,
      lines,
      ...older
    } = plain.construction;
    expect([scatter, fade, gaps, lines]).toEqual([null, null, null, []]);
    const document = { ...plain, version: 7, construction: { ...older, colours: 'sides' } };
    expect(readDesign(document)).toEqual(plain);
  });

  it('closes with the faces below it, painted too', () => {
    expect(checkDesign({ ...FULL, resolution: '60' })).toMatchObject({
      numbers: { kind: 'partition', closed: true },
      painted: { differingBytes: 0 },
    });
  });

  it('tells how many faces gaps leave nothing of', () => {
    // A square of 20 is gone at 10, an octagon not.
    const gone = tilingFacts(tiling(OCTAGONS, { gaps: { by: '10', corner: '0', shade: 'C' } }));
    expect(gone.vanished).toBe(1);
    expect(tilingFacts(tiling(OCTAGONS)).vanished).toBe(0);
  });
});

describe('geometry', () => {
  it.each(['3.6.3.6', '3.4.6.4', '4.6.12'] as const)(
    'of %s has its faces in the first repeat, once',
    (name) => {
      const { faces, lattice } = tilingGeometry(tiling({ kind: 'regular', name }));
      for (const { points } of faces) {
        const middle = [0, 1].map((at) => points.reduce((sum, point) => sum + point[at]!, 0) / points.length);
        expect(middle[0]! / lattice[0][0]).toBeGreaterThan(-1e-6);
        expect(middle[0]! / lattice[0][0]).toBeLessThan(1);
        expect(middle[1]! / lattice[1][1]).toBeGreaterThan(-1e-6);
        expect(middle[1]! / lattice[1][1]).toBeLessThan(1);
      }
    },
  );
});

describe('geometry as a table', () => {
  it('has a row a corner, exact beside decimal', () => {
    const lines = tilingToCsv(tiling(OCTAGONS)).split('\r\n');
    expect(lines).toHaveLength(1 + 8 + 4 + 1);
    expect(lines[1]).toBe('1,8,B,1,0,0,0,0');
    expect(lines[2]).toBe('1,8,B,2,20,0,20,0');
    expect(lines[3]).toBe('1,8,B,3,34.14213562373095,14.142135623730951,20 + 10√2,10√2');
  });

  it('counts edges and vertices once', () => {
    const geometry = tilingGeometry(tiling({ kind: 'regular', name: '3.4.6.4' }));
    // Two cells of 6, 12 and 6.
    expect([geometry.vertices.length, geometry.edges.length, geometry.faces.length]).toEqual([12, 24, 12]);
    for (const [[x0, y0], [x1, y1]] of geometry.edges)
      expect(Math.hypot(x1 - x0, y1 - y0)).toBeCloseTo(20, 9);
    // As doubles and exactly they are the same places.
    const near = ([x, y]: readonly [string, string]) => [
      surdToNumber(parseSurd(x)),
      surdToNumber(parseSurd(y)),
    ];
    expect(geometry.exactVertices.map(near)).toEqual(geometry.vertices);
    expect(geometry.exactEdges.map((ends) => ends.map(near))).toEqual(geometry.edges);
  });
});
