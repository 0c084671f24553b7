import { describe, expect, it } from 'vitest';
import type { Shade } from '../../colour/shade.ts';
import { surd, surdToNumber } from '../../exact/surd.ts';
import { surdText } from '../../exact/surd-text.ts';
import { paintRoll } from '../../paint/paint-roll.ts';
import { paintTile } from '../../paint/painting.ts';
import { closeNumbers } from '../../repeat/contents.ts';
import { type RepeatUnit, repeatSize } from '../../repeat/repeat-unit.ts';
import { NO_PICTURES } from '../../shape/picture.ts';
import { compile } from '../compile-design.ts';
import type { ByKind } from '../constructions.ts';
import { designFromStart } from '../starts.ts';
import { compilePlies, inShades } from './compile-plies.ts';
import { mapPlies } from './map-plies.ts';
import { type PliesSpec, type PlyContent, type PlySpec, pliesSchema } from './plies-schema.ts';

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
