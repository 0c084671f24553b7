import { describe, expect, it } from 'vitest';
import type { Shade } from '../../colour/shade.ts';
import { rational } from '../../exact/rational.ts';
import { surd, surdToNumber } from '../../exact/surd.ts';
import { surdText } from '../../exact/surd-text.ts';
import { paintRoll } from '../../paint/paint-roll.ts';
import { paintTile } from '../../paint/painting.ts';
import { closeNumbers } from '../../repeat/contents.ts';
import { type RepeatUnit, repeatSize } from '../../repeat/repeat-unit.ts';
import { NO_PICTURES } from '../../shape/picture.ts';
import { compile } from '../compile-design.ts';
import type { ByKind } from '../constructions.ts';
import type { Design } from '../design-schema.ts';
import { newPlaid } from '../new-design.ts';
import { asKind } from '../of-kind.ts';
import { readDesign } from '../read-design.ts';
import { designFromStart } from '../starts.ts';
import { compilePlies } from './compile-plies.ts';
import { inShades } from './in-shades.ts';
import { mapPlies } from './map-plies.ts';
import { type PliesSpec, type PlyContent, type PlySpec, pliesSchema } from './plies-schema.ts';
import { plyOffersOf } from './ply-offers-of.ts';
import { withThreads } from './with-threads.ts';

const SHADES: readonly Shade[] = [
  { key: 'A', name: 'Ticket cream', hex: '#efe6cf' },
  { key: 'B', name: 'Boiler green', hex: '#2f5d50' },
  { key: 'C', name: 'Brake red', hex: '#8c2f25' },
  { key: 'D', name: 'White', hex: '#ffffff' },
];

/** A start point as what lies in a ply, its shades in order those of the card. */
function start(kind: keyof ByKind, key: string): PlyContent & { kind: 'design' } {
  const design = designFromStart(kind, key);
  const shades = Object.fromEntries(design.shades.map((shade, at) => [shade.key, SHADES[at % 4]!.key]));
  return { kind: 'design', design, from: null, shades, tint: null };
}

function ply(content: PlyContent, change: Partial<PlySpec> = {}): PlySpec {
  return {
    content,
    scale: { to: 'factor', factor: '1' },
    slope: null,
    shift: { in: 'length', x: '0', y: '0' },
    blend: 'normal',
    strength: '1',
    clip: null,
    shown: true,
    ...change,
  };
}

/** Read by the schema, then compiled. */
function compiled(...plies: readonly PlySpec[]): RepeatUnit {
  const spec: PliesSpec = pliesSchema.parse({ kind: 'plies', plies });
  return compilePlies(spec, { shades: SHADES, resolution: '300', pictures: NO_PICTURES });
}

const widthOf = (unit: RepeatUnit) => surdToNumber(repeatSize(unit)!.width);

describe('designs over each other', () => {
  it('repeat after the least common multiple, and are proven and painted without a seam', () => {
    const print = start('motif', 'fish-scale');
    const twill = start('plaid', 'twill');
    const look = { blend: 'multiply', strength: '20%' } as const;
    // Threads by the inch on a step of 5 mm: 127 of one are 100 of the other.
    const unit = compiled(ply(print), ply(twill, look));
    const [below, above] = [print, twill].map(({ design }) => widthOf(compile(design)));
    expect(widthOf(unit) / below!).toBeCloseTo(127, 9);
    expect(widthOf(unit) / above!).toBeCloseTo(Math.round(widthOf(unit) / above!), 9);
    expect(closeNumbers(unit)).toMatchObject({ kind: 'plies', closed: true });
    const close = compiled(ply(print), ply(twill, { ...look, scale: { to: 'count', count: '15' } }));
    expect(widthOf(close)).toBe(below);
    expect(closeNumbers(close)).toMatchObject({ kind: 'plies', closed: true });
    expect(paintRoll(close, { width: 120, height: 90 }).differingBytes).toBe(0);
  });

  it('alone are what the design is, in the shades that they have here', () => {
    const content = start('plaid', 'gingham');
    const unit = compiled(ply(content));
    const own = compile(inShades(content, SHADES));
    const tile = { width: 96, height: 96 };
    expect(paintTile(unit, tile)).toEqual(paintTile(own, tile));
    expect(inShades(content, SHADES).shades.map(({ hex }) => hex)).toContain('#efe6cf');
  });

  it('are so many to one repeat of the lowest', () => {
    const lowest = start('tiling', '4.8.8');
    const unit = compiled(
      ply(lowest),
      ply(start('plaid', 'shepherd'), { scale: { to: 'count', count: '3' } }),
    );
    const side = repeatSize(compile(lowest.design))!;
    // 4.8.8 repeats after 1 + √2 sides; three of the other are as wide, which no fraction of millimetres is.
    expect(surdText(repeatSize(unit)!.width)).toBe(surdText(side.width));
    expect(unit.content).toMatchObject({
      plies: [{ times: { across: 1 } }, { times: { across: 3, down: 3 } }],
    });
  });

  it('are larger or smaller by a factor', () => {
    const content = start('plaid', 'gingham');
    const unit = compiled(ply(content, { scale: { to: 'factor', factor: '150%' } }));
    expect(widthOf(unit)).toBeCloseTo(1.5 * widthOf(compile(content.design)), 12);
  });

  it('are shifted by lengths, and by parts of their own repeat', () => {
    const content = start('tiling', '6.6.6');
    const half = { in: 'repeats', x: '1/2', y: '1/2' } as const;
    const unit = compiled(
      ply(content),
      ply(content, { shift: half }),
      ply(content, { shift: { in: 'length', x: '5', y: '-1cm' } }),
    );
    const size = repeatSize(compile(content.design))!;
    const shifts = unit.content.kind === 'plies' ? unit.content.plies.map(({ shift }) => shift) : [];
    expect(surdToNumber(shifts[1]!.x)).toBeCloseTo(surdToNumber(size.width) / 2, 12);
    expect(surdToNumber(shifts[1]!.y)).toBeCloseTo(surdToNumber(size.height) / 2, 12);
    expect(shifts[2]).toEqual({ x: surd(5), y: surd(-10) });
  });

  it('are shifted by threads and steps as they lie, where they have some', () => {
    const two = { in: 'steps', x: '2', y: '-1/2' } as const;
    const scale = { to: 'factor', factor: '3' } as const;
    const shiftOf = (unit: RepeatUnit) =>
      unit.content.kind === 'plies' ? unit.content.plies[0]!.shift : undefined;
    const fish = compiled(ply(start('motif', 'fish-scale'), { scale, shift: two }));
    expect(shiftOf(fish)).toEqual({ x: surd(30), y: surd(rational(-15, 2)) });
    const gingham = compiled(ply(start('plaid', 'gingham'), { scale, shift: two }));
    expect(shiftOf(gingham)?.x).toEqual(surd(rational(6 * 254, 240)));
    expect(() => compiled(ply(start('tiling', '6.6.6'), { shift: two }))).toThrow('ply/steps');
  });

  it('are turned where a slope repeats', () => {
    const slope = { up: 3, across: 4, asked: null };
    const unit = compiled(ply(start('plaid', 'gingham')), ply(start('plaid', 'gingham'), { slope }));
    // By 3 on 4 the turned one repeats after five of its sides.
    expect(widthOf(unit)).toBeCloseTo(5 * widthOf(compile(designFromStart('plaid', 'gingham'))), 9);
    expect(closeNumbers(unit).closed).toBe(true);
    expect(() =>
      compiled(
        ply(start('plaid', 'gingham')),
        ply(start('plaid', 'gingham'), { slope: { ...slope, across: 3 } }),
      ),
    ).toThrow('plies/never');
    expect(paintRoll(unit, { width: 60, height: 60 }).differingBytes).toBe(0);
  });
});

describe('shades and fades', () => {
  it('go over all that the designs have in common', () => {
    const unit = compiled(
      ply({ kind: 'shade', shade: 'D' }),
      ply(start('plaid', 'gingham')),
      ply({ kind: 'fade', shades: ['A', 'C'], angle: '90' }, { clip: 1, strength: '1/2' }),
    );
    expect(widthOf(unit)).toBe(widthOf(compile(designFromStart('plaid', 'gingham'))));
    expect(unit.content).toMatchObject({
      plies: [{ times: { across: 1, down: 1 } }, { times: { across: 1 } }, { times: { across: 1, down: 1 } }],
    });
  });

  it('alone lie in a square', () => {
    const unit = compiled(ply({ kind: 'fade', shades: ['D', 'B'], angle: '0' }));
    expect(widthOf(unit)).toBe(10);
    const bytes = paintTile(unit, { width: 32, height: 1 });
    const reds = Array.from({ length: 32 }, (_, x) => bytes[4 * x]!);
    expect(reds).toEqual([...reds].sort((one, other) => other - one));
    expect(reds[0]).toBeGreaterThan(240);
    expect(reds.at(-1)).toBeLessThan(70);
  });
});

describe('what is offered for a ply', () => {
  const design = (...plies: readonly PlySpec[]) =>
    asKind(
      'plies',
      readDesign({
        ...designFromStart('plies', 'crossed-stripes'),
        shades: SHADES,
        construction: { kind: 'plies', plies },
      }),
    );
  const threads = (count: number) =>
    newPlaid({
      name: `${count} threads`,
      shades: [...SHADES],
      warp: {
        bands: [
          { shade: 'A', count: count - 5 },
          { shade: 'B', count: 5 },
        ],
        mirror: 'none',
      },
      weave: { kind: 'twill', over: 1, under: 1, hand: 'Z' },
      print: { blend: 'normal', strength: '1/2', top: 'warp', ground: null },
    });
  const inPly = (own: Design): PlySpec =>
    ply({
      kind: 'design',
      design: own,
      from: null,
      shades: Object.fromEntries(own.shades.map(({ key }) => [key, key])),
      tint: null,
    });

  it('is a count of threads that comes together sooner: 36 for 35 over 24', () => {
    const { counts, scales } = plyOffersOf(design(inPly(threads(24)), inPly(threads(35))), [
      { ply: 1, degrees: 0 },
    ])[0]!;
    expect(counts).toContainEqual({ count: 36, common: 72 });
    expect(scales.length).toBeGreaterThan(0);
    const taken = withThreads(threads(35), 36)!;
    expect(compile(taken).grid).toMatchObject({ ends: 36 });
  });

  it('are scales that close where none did, each taken as so many to one of the lowest', () => {
    const lowest = ply(start('tiling', '4.8.8'));
    const over = inPly(threads(24));
    const { whole, scales } = plyOffersOf(design(lowest, over), [{ ply: 1, degrees: 0 }])[0]!;
    for (const offer of [whole!, ...scales]) {
      const scale = { to: 'count', count: offer.count } as const;
      const taken = compile(design(lowest, { ...over, scale }));
      expect(surdText(repeatSize(taken)!.width)).toBe(surdText(offer.size.width));
    }
    expect(whole!.count).toBe('2');
  });

  it('is nothing for the lowest', () => {
    expect(
      plyOffersOf(design(inPly(threads(24)), inPly(threads(35))), [{ ply: 0, degrees: 0 }])[0]!.scales,
    ).toEqual([]);
  });
});

describe('the shades of plies', () => {
  it('may be one, as light as each was', () => {
    const content = { ...start('plaid', 'gingham'), tint: 'C' };
    const [first, ...others] = inShades(content, SHADES).shades;
    const luma = (hex: string) => {
      const [r, g, b] = [1, 3, 5].map((at) => Number.parseInt(hex.slice(at, at + 2), 16));
      return 0.3 * r! + 0.59 * g! + 0.11 * b!;
    };
    for (const shade of [first!, ...others]) {
      const own = content.design.shades.find(({ key }) => key === shade.key)!;
      expect(Math.abs(luma(shade.hex) - luma(own.hex))).toBeLessThan(1);
    }
  });

  it('are each visited once, and none of the designs within', () => {
    const spec = pliesSchema.parse({
      kind: 'plies',
      plies: [
        ply({ kind: 'shade', shade: 'D' }),
        ply({ ...start('plaid', 'gingham'), tint: 'B' }),
        ply({ kind: 'fade', shades: ['A', 'C'], angle: '0' }),
      ],
    });
    const seen: string[] = [];
    const mapped = mapPlies(spec, (key, path) => {
      seen.push(`${path.join('.')} ${key}`);
      return 'A';
    });
    const count = Object.keys((spec.plies[1]!.content as PlyContent & { kind: 'design' }).shades).length;
    expect(new Set(seen).size).toBe(seen.length);
    expect(seen).toHaveLength(1 + count + 1 + 2);
    expect(seen).toContain('plies.1.content.tint B');
    expect(mapped.plies[2]!.content).toMatchObject({ shades: ['A', 'A'] });
    expect(mapped.plies[1]!.content).toMatchObject({
      design: { shades: start('plaid', 'gingham').design.shades },
    });
  });
});

describe('plies that are wrong', () => {
  const gingham = start('plaid', 'gingham');

  it.each<[string, readonly PlySpec[], string]>([
    ['clipped to themselves', [ply(gingham, { clip: 0 })], 'ply/clip'],
    ['clipped to none', [ply(gingham), ply(gingham, { clip: 2 })], 'ply/clip'],
    ['without a shade for one of their own', [ply({ ...gingham, shades: {} })], 'ply/shade'],
    ['scaled to nothing', [ply(gingham, { scale: { to: 'factor', factor: '0' } })], 'lay/scale'],
    ['scaled a million times', [ply(gingham, { scale: { to: 'factor', factor: '1000000' } })], 'lay/scale'],
    ['stronger than whole', [ply(gingham, { strength: '120%' })], 'print/strength'],
  ])('%s are told', (_, plies, message) => {
    const { error } = pliesSchema.safeParse({ kind: 'plies', plies });
    expect(error?.issues.map((issue) => issue.message)).toContain(message);
  });

  it('are told that never come together', () => {
    const tiling = start('tiling', '4.8.8');
    expect(() => compiled(ply(tiling), ply(gingham))).toThrow('plies/never');
    // They are counted from the lowest of all, shades too.
    const shade = ply({ kind: 'shade', shade: 'D' });
    expect(() => compiled(shade, ply(tiling), ply(gingham))).toThrow(
      expect.objectContaining({ facts: { ply: 3, axis: 'across' } }),
    );
  });
});
