import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { rational } from '../../exact/rational.ts';
import { root, surd, surdToNumber } from '../../exact/surd.ts';
import { surdText } from '../../exact/surd-text.ts';
import { unitToSvg } from '../../formats/svg/unit-svg.ts';
import { paintRoll } from '../../paint/paint-roll.ts';
import { paintTile } from '../../paint/painting.ts';
import { type Place, placesOf } from '../../shape/places.ts';
import { checkDesign } from '../check-design.ts';
import { compile } from '../compile-design.ts';
import type { TilingDesign } from '../design-schema.ts';
import { newTiling, type TilingOrder } from '../new-design.ts';
import { asKind } from '../of-kind.ts';
import { readDesign } from '../read-design.ts';
import { shadesUsed, withShadeReplaced } from '../shades-used.ts';
import type { FormSpec } from './form-schema.ts';
import { uprightTurns } from './shape-of-tiling.ts';
import { missesOfTiling, tilingFacts } from './tiling-facts.ts';
import { parseProportion } from './tiling-numbers.ts';
import { TILING_STARTS, tilingFromStart } from './tiling-starts.ts';

const SHADES = [
  { key: 'A', name: 'Dark', hex: '#203040' },
  { key: 'B', name: 'Light', hex: '#f0e8d0' },
  { key: 'C', name: 'Red', hex: '#a03020' },
];

function tiling(form: FormSpec, more: Partial<TilingOrder> = {}): TilingDesign {
  return newTiling({ name: 'Floor', shades: SHADES, form, ...more });
}

/** Nothing done to a form. */
const LEVEL = { stretch: '1', shear: '0', diagonal: '0' } as const;

const FLOOR: FormSpec = { kind: 'regular', name: '4.8.8' };

describe('a tiling as a document', () => {
  it.each(TILING_STARTS.map(({ key }) => key))('%s is read back as it was written', (key) => {
    const design = tilingFromStart(key);
    expect(readDesign(JSON.parse(JSON.stringify(design)))).toEqual(design);
  });

  it.each<[string, Partial<Record<keyof TilingDesign['construction'], unknown>>]>([
    ['a form that is none', { form: { kind: 'regular', name: '5.5.5' } }],
    ['an endless proportion', { form: { kind: 'rhombus', across: '1', up: '1000000000' } }],
    ['a proportion below zero', { form: { kind: 'rhombus', across: '-3', up: '4' } }],
    ['a step that is whole', { form: { kind: 'bricks', height: '1', step: '1' } }],
    ['a side of nothing', { size: '0 mm' }],
    ['a side in words', { size: 'wide' }],
    ['a turn between steps', { turn: 1.5 }],
    ['a shade that is not on the card', { faces: ['Z'] }],
    ['no shades', { faces: [] }],
    [
      'rings that grow',
      {
        rings: [
          { share: '1/2', shade: 'A' },
          { share: '3/4', shade: 'B' },
        ],
      },
    ],
    ['a ring of a shade that is not there', { rings: [{ share: '1/2', shade: 'Z' }] }],
    ['broken roots', { size: '√' }],
  ])('with %s is refused', (_, change) => {
    const design = tiling(FLOOR);
    expect(() => readDesign({ ...design, construction: { ...design.construction, ...change } })).toThrow(
      expect.objectContaining({ code: 'design/field' }),
    );
  });

  it('names its shades, and takes others in their place', () => {
    const { construction } = tiling(FLOOR, {
      faces: ['A', 'B'],
      rings: [
        { share: '1', shade: 'C' },
        { share: '1/2', shade: null },
      ],
    });
    expect(shadesUsed(construction).map(({ key }) => key)).toEqual(['A', 'B', 'C']);
    const replaced = withShadeReplaced(withShadeReplaced(construction, 'C', 'A'), 'B', 'C');
    expect(replaced).toMatchObject({ faces: ['A', 'C'], rings: [{ shade: 'A' }, { shade: null }] });
  });
});

describe('proportions', () => {
  it('are taken to their limits, and refused beyond them', () => {
    for (const [across, up] of [
      ['9999/100', '97/99'],
      ['1/100', '100'],
      ['100', '1/97'],
    ] as const) {
      expect(tilingFacts(tiling({ kind: 'rhombus', across, up })).proof.closed).toBe(true);
      expect(tilingFacts(tiling({ kind: 'hexagons', across, up }, { measured: 'one' })).proof.closed).toBe(
        true,
      );
    }
    for (const text of ['0', '-1', '101', '1/101', '1/9999999']) {
      expect(() => parseProportion(text)).toThrow('tiling/proportion');
    }
  });
});

describe('a tiling compiled', () => {
  it('has the size that was typed, of its side or of its repeat', () => {
    const sides = ({ pitch }: ReturnType<typeof compile>) => [surdText(pitch.x), surdText(pitch.y)];
    expect(sides(compile(tiling(FLOOR, { size: '1 in' })))).toEqual(['127/5 + 127√2/5', '127/5 + 127√2/5']);
    expect(sides(compile(tiling(FLOOR, { size: '30', measured: 'repeat' })))).toEqual(['30', '30']);
    const cubes: FormSpec = { kind: 'regular', name: '3.6.3.6' };
    const order = { dual: true, size: '30', measured: 'repeat', colours: 'directions' } as const;
    expect(sides(compile(tiling(cubes, order)))).toEqual(['30', '30√3']);
    // An edge of a cube is as long as it is typed, though the tiling that it is the dual of has shorter sides.
    const edges = { ...order, measured: 'side' } as const;
    expect(sides(compile(tiling(cubes, edges)))).toEqual(['30√3', '90']);
    // At 300 dpi, 720 pixels are 60.96 mm.
    expect(sides(compile(tiling({ kind: 'regular', name: '4.4.4.4' }, { size: '720 px' })))[0]).toBe(
      '1524/25',
    );
    const diamonds: FormSpec = { kind: 'rhombus', across: '2', up: '3' };
    const wide = sides(compile(tiling(diamonds, { size: '20', measured: 'width' })));
    expect(wide).toEqual(['20', '30']);
    expect(sides(compile(tiling(diamonds, { size: '30', measured: 'height' })))).toEqual(wide);
  });

  it('has an upright repeat at some turns; at others it says at which', () => {
    expect(uprightTurns({ ...LEVEL, form: FLOOR, dual: false })).toEqual([0, 3, 6, 9, 12, 15, 18, 21]);
    expect(uprightTurns({ ...LEVEL, form: { kind: 'regular', name: '6.6.6' }, dual: true })).toEqual(
      Array.from({ length: 12 }, (_, step) => 2 * step),
    );
    expect(() => compile(tiling(FLOOR, { turn: 1 }))).toThrow(
      expect.objectContaining({ code: 'tiling/turn', facts: expect.objectContaining({ degrees: 15 }) }),
    );
  });

  it('is refused where its repeat is too large, or has too many faces', () => {
    expect(() => compile(tiling(FLOOR, { size: '99 000' }))).toThrow('number/syntax');
    expect(() => compile(tiling(FLOOR, { size: '99000' }))).toThrow('tiling/too-large');
    const lean: FormSpec = { kind: 'triangles', height: '1', tip: '1/997' };
    const colours = { by: 'rows', way: 'second', count: 12 } as const;
    const rings = Array.from({ length: 8 }, (_, ring) => ({ share: `${9 - ring}/10`, shade: 'A' }));
    expect(() => compile(tiling(lean, { size: '1', colours, rings }))).toThrow('tiling/faces');
  });

  it('rolls back to itself when it is painted, with rings too, at any size', () => {
    const pixels = fc.integer({ min: 1, max: 70 });
    fc.assert(
      fc.property(
        fc.constantFrom(...TILING_STARTS),
        fc.integer({ min: 0, max: 23 }),
        fc.boolean(),
        pixels,
        pixels,
        (start, turn, ringed, width, height) => {
          const { construction } = start.design(0);
          fc.pre(uprightTurns(construction).includes(turn));
          const rings = ringed ? [{ share: '2/3', shade: 'C' }] : [];
          const unit = compile({ ...start.design(0), construction: { ...construction, turn, rings } });
          expect(paintRoll(unit, { width, height }).differingBytes).toBe(0);
        },
      ),
      { numRuns: 150 },
    );
  });

  it('is drawn with a path a shade, at true size', () => {
    const svg = unitToSvg(compile(tiling(FLOOR, { size: '10' })), 'Floor');
    expect(svg).toContain('width="24.142136mm"');
    expect(svg.match(/<path fill="#/g)).toHaveLength(2);
  });
});

const PIXEL = rational(254, 3000);

describe('the proof of a tiling', () => {
  it('fails where sides are not as long as they were typed, or vertices are others than its name says', () => {
    const design = tiling(FLOOR);
    const unit = compile(design);
    expect(missesOfTiling(design.construction, unit, PIXEL)).toBe(0);
    const stretched = { ...unit, pitch: { ...unit.pitch, x: root(rational(50)) } };
    expect(missesOfTiling(design.construction, stretched, PIXEL)).toBeGreaterThan(0);
    const misnamed = { ...design.construction, form: { kind: 'regular', name: '4.4.4.4' } } as const;
    expect(missesOfTiling(misnamed, unit, PIXEL)).toBeGreaterThan(0);
    expect(checkDesign(tiling(FLOOR, { rings: [{ share: '1/2', shade: 'C' }] })).numbers.closed).toBe(true);
  });

  it('tells shares of shades that add up to all', () => {
    const design = asKind('tiling', readDesign(tiling(FLOOR, { rings: [{ share: '1/2', shade: 'C' }] })));
    const { shares, faces, classes } = tilingFacts(design);
    expect(classes).toBe(2);
    // An octagon of 8 + 1 parts, a square of 4 + 1.
    expect(faces).toBe(14);
    // Half the size is a quarter of the area.
    expect(shares.find(({ shade }) => shade.key === 'C')!.share).toEqual(surd(rational(1, 4)));
  });
});

describe('what is drawn within faces that gaps make smaller', () => {
  const FLAT = Math.sqrt(75);
  const hexagons = (more: Partial<TilingDesign['construction']>) => {
    const design = tiling({ kind: 'regular', name: '6.6.6' }, { size: '10mm', resolution: '254' });
    const gaps = { by: '1mm', corner: '0', shade: 'B' };
    return { ...design, construction: { ...design.construction, faces: ['A'], gaps, ...more } };
  };
  /** The part of a tile's pixels that has a shade, those on edges by their shares in green. */
  const painted = (design: TilingDesign) => {
    const unit = compile(design);
    const bytes = paintTile(unit, { width: 600, height: 1039 });
    const share = (hex: string) => {
      const wanted = hex.match(/\w\w/g)!.map((each) => Number.parseInt(each, 16));
      let count = 0;
      for (let at = 0; at < bytes.length; at += 4)
        if (wanted.every((byte, channel) => bytes[at + channel] === byte)) count += 1;
      return count / (bytes.length / 4);
    };
    return { face: share(SHADES[0]!.hex), gap: share(SHADES[1]!.hex), red: share(SHADES[2]!.hex) };
  };
  const ring = {
    what: 'frames',
    of: null,
    width: '1mm',
    shade: 'C',
    ends: 'round',
    dashes: null,
    skip: 1,
    every: 1,
    first: 0,
  } as const;

  it('is a ring beside the gap and not in it', () => {
    const { face, gap, red } = painted(hexagons({ lines: [ring] }));
    // Hexagons 2 √75 mm across their flats, 1 mm smaller all round, and a ring of 1 mm in them.
    expect(gap).toBeCloseTo(1 - ((FLAT - 1) / FLAT) ** 2, 1);
    expect(red).toBeCloseTo(((FLAT - 1) ** 2 - (FLAT - 2) ** 2) / FLAT ** 2, 1);
    expect(face).toBeCloseTo(((FLAT - 2) / FLAT) ** 2, 1);
  });

  it('is the same ring, by a length and by lines', () => {
    const rings = [
      { share: '1', shade: 'C' },
      { share: '1 mm', shade: null },
    ];
    const [one, other] = [painted(hexagons({ rings })), painted(hexagons({ lines: [ring] }))];
    for (const key of ['face', 'gap', 'red'] as const) expect(one[key]).toBeCloseTo(other[key], 2);
  });

  it('are spokes that end where the face does', () => {
    const spokes = { ...ring, what: 'spokes', ends: 'flat' } as const;
    const unit = compile(hexagons({ lines: [spokes] }));
    if (unit.content.kind !== 'marks') throw new Error('expected marks');
    const [, lines] = unit.content.marks;
    if (lines?.shape.kind !== 'stroke') throw new Error('expected lines');
    const pitch = { x: surdToNumber(unit.pitch.x), y: surdToNumber(unit.pitch.y) };
    const lengths = lines.shape.paths.map(({ points }) => {
      const [from, to] = placesOf(points, pitch) as [Place, Place];
      return Math.hypot(to.x - from.x, to.y - from.y);
    });
    expect(lengths.length).toBeGreaterThan(5);
    for (const length of lengths) expect(length).toBeCloseTo(10 - 2 / Math.sqrt(3), 9);
  });
});
