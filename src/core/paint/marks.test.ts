import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { LINEAR_OF_BYTE } from '../colour/linear.ts';
import { compile } from '../design/compile-design.ts';
import { newTiling, type TilingOrder } from '../design/new-design.ts';
import type { LinesSpec } from '../design/tiling/tiling-schema.ts';
import { surdToNumber } from '../exact/surd.ts';
import { unitToSvg } from '../formats/svg/unit-svg.ts';
import { paintRoll } from './paint-roll.ts';
import { paintTile } from './painting.ts';

const SHADES = [
  { key: 'A', name: 'Black', hex: '#000000' },
  { key: 'B', name: 'Red', hex: '#ff0000' },
  { key: 'C', name: 'Green', hex: '#00ff00' },
];

const SQUARES: TilingOrder['form'] = { kind: 'regular', name: '4.4.4.4' };

/** Squares of 20 mm, all black, with something over them. */
function floor(more: Partial<TilingOrder>): ReturnType<typeof compile> {
  const form = more.form ?? SQUARES;
  return compile(newTiling({ name: 'Floor', shades: SHADES, faces: ['A'], colours: 'faces', ...more, form }));
}

function lines(more: Partial<LinesSpec>): LinesSpec[] {
  return [
    {
      what: 'sides',
      of: null,
      width: '2',
      shade: 'B',
      ends: 'flat',
      dashes: null,
      skip: 1,
      every: 1,
      first: 0,
      ...more,
    },
  ];
}

/** Mean light of a tile in one channel, as a share of full. */
function share(unit: ReturnType<typeof compile>, channel: number, pixels = 200): number {
  const height = Math.round((pixels * surdToNumber(unit.pitch.y)) / surdToNumber(unit.pitch.x));
  const bytes = paintTile(unit, { width: pixels, height });
  let sum = 0;
  for (let at = channel; at < bytes.length; at += 4) sum += LINEAR_OF_BYTE[bytes[at]!]! / 65535;
  return sum / (bytes.length / 4);
}

describe('lines over faces', () => {
  it.each<[string, Partial<LinesSpec>, number]>([
    // Of 20 × 20 two lines 2 wide, which share a square of 2 × 2.
    ['along all sides', {}, (2 * 2 * 20 - 4) / 400],
    // Three dashes of half their place in each side.
    ['in dashes', { dashes: { count: 3, share: '1/2' } }, (2 * 2 * 10) / 400],
    // From the middle to four middles of sides, which meet.
    ['from middles to sides', { what: 'rays' }, (2 * 2 * 20 - 4) / 400],
    // Only between hexagons, of which there are none.
    ['along no sides', { of: '6|6' }, 0],
  ])('%s take the area that they should', (_, more, expected) => {
    expect(share(floor({ lines: lines(more) }), 0)).toBeCloseTo(expected, 3);
  });

  it('end round, drawn out or cut off', () => {
    const dash = { what: 'rays', of: null, dashes: { count: 1, share: '1/2' } } as const;
    // Four dashes 5 long and 2 wide; ends add a circle of 2 across, or a square of 2 × 2, to each.
    const plain = 4 * 5 * 2;
    expect(share(floor({ lines: lines({ ...dash, ends: 'flat' }) }), 0)).toBeCloseTo(plain / 400, 3);
    expect(share(floor({ lines: lines({ ...dash, ends: 'sharp' }) }), 0)).toBeCloseTo(
      (plain + 4 * 4) / 400,
      3,
    );
    expect(share(floor({ lines: lines({ ...dash, ends: 'round' }) }), 0)).toBeCloseTo(
      (plain + 4 * Math.PI) / 400,
      3,
    );
  });

  it('meet in a point where a corner is drawn out', () => {
    const form = { kind: 'regular', name: '3.12.12' } as const;
    const outlined = (ends: LinesSpec['ends']) =>
      share(floor({ form, lines: lines({ of: '3|12', ends }) }), 0, 400);
    // Two triangles of 20 in a cell, their outlines 2 wide: three corners each, an outer turn of 120° at each.
    const cell = (6 + (7 * Math.sqrt(3)) / 2) * 400;
    const without = 2 * (60 * 2 - 3 * Math.sqrt(3));
    expect(outlined('sharp')).toBeCloseTo((without + 2 * 3 * Math.sqrt(3)) / cell, 3);
    expect(outlined('round')).toBeCloseTo((without + 2 * Math.PI) / cell, 3);
    expect(outlined('flat')).toBeCloseTo((without + (2 * 3 * Math.sqrt(3)) / 4) / cell, 3);
  });
});

describe('gaps between faces', () => {
  it.each([
    ['sharp', '0', 1 - 16 ** 2 / 400],
    ['rounded', '4', 1 - (16 ** 2 - (4 - Math.PI) * 16) / 400],
    ['rounded as far as there is room', '50', 1 - (Math.PI * 64) / 400],
  ])('leave %s faces', (_, corner, expected) => {
    expect(share(floor({ gaps: { by: '2', corner, shade: 'B' } }), 0)).toBeCloseTo(expected, 3);
  });

  it('of which nothing would be left are refused', () => {
    expect(() => floor({ gaps: { by: '10', corner: '0', shade: 'B' } })).toThrow('tiling/vanished');
  });
});

describe('a fade', () => {
  it('goes evenly from shade to shade in light, and lets nothing through between faces', () => {
    const unit = floor({ fade: { shades: ['B', 'C'], angle: 0, turned: false, of: null } });
    const bytes = paintTile(unit, { width: 100, height: 100 });
    for (let x = 0; x < 100; x += 1) {
      const [red, green] = [LINEAR_OF_BYTE[bytes[x * 4]!]!, LINEAR_OF_BYTE[bytes[x * 4 + 1]!]!];
      expect(Math.abs((red + green) / 65535 - 1)).toBeLessThan(0.02);
      expect(Math.abs(green / 65535 - (x + 0.5) / 100)).toBeLessThan(0.01);
    }
  });

  it('leaves nothing of the shades in whose place it lies, at any edge', () => {
    const painted = (own: string, rings: NonNullable<TilingOrder['rings']>, of: string | null) =>
      paintTile(
        floor({
          form: { kind: 'regular', name: '4.8.8' },
          colours: 'sides',
          faces: ['C', own],
          rings,
          fade: { shades: ['A', 'B'], angle: 3, turned: false, of },
        }),
        { width: 61, height: 61 },
      );
    expect(painted('B', [], '8')).toEqual(painted('C', [], '8'));
    const ring = (inside: string) => [{ share: '3/4', shade: inside }];
    expect(painted('B', ring('A'), null)).toEqual(painted('B', ring('C'), null));
    expect(painted('B', ring('A'), null)).not.toEqual(painted('C', ring('A'), null));
  });

  it('turns with faces or lies the same in all', () => {
    const form = { kind: 'herringbone', width: '1/2' } as const;
    const faded = (turned: boolean) =>
      paintTile(floor({ form, fade: { shades: ['B', 'C'], angle: 0, turned, of: null } }), {
        width: 64,
        height: 64,
      });
    expect(Buffer.compare(Buffer.from(faded(true)), Buffer.from(faded(false)))).not.toBe(0);
  });
});

describe('layers of any tiling', () => {
  const forms: readonly TilingOrder['form'][] = [
    { kind: 'regular', name: '3.4.6.4' },
    { kind: 'regular', name: '4.8.8' },
    { kind: 'herringbone', width: '1/3' },
    { kind: 'pentagons', half: '1/4' },
    { kind: 'kites', above: '1', below: '3/2' },
    { kind: 'hexagons-triangles', other: '1/2' },
  ];
  const more: Partial<TilingOrder> = {
    faces: ['A', 'B', 'C'],
    fade: { shades: ['A', 'C', 'B'], angle: 5, turned: true, of: null },
    gaps: { by: '1/2', corner: '1', shade: 'C' },
    lines: [
      ...lines({ what: 'stars', skip: 2, every: 1, first: 0, width: '1', ends: 'sharp' }),
      ...lines({ width: '1/3', ends: 'round', dashes: { count: 4, share: '2/3' } }),
      ...lines({ what: 'spokes', width: '3/4', shade: 'C' }),
    ],
  };

  it('roll back to themselves, byte for byte, at any size', () => {
    const pixels = fc.integer({ min: 1, max: 90 });
    fc.assert(
      fc.property(fc.constantFrom(...forms), pixels, pixels, (form, width, height) => {
        expect(paintRoll(floor({ ...more, form }), { width, height }).differingBytes).toBe(0);
      }),
      { numRuns: 40 },
    );
  });

  it.each(forms.map((form) => [form.kind, form] as const))('%s are drawn in painting order', (_, form) => {
    const svg = unitToSvg(floor({ ...more, form }), 'Floor');
    const order = [
      'linearGradient',
      'fill-rule="evenodd"',
      'stroke-linejoin="miter"',
      'stroke-linejoin="round"',
    ];
    const places = order.map((part) => svg.indexOf(part));
    expect(places.every((place) => place > 0)).toBe(true);
    expect(places).toEqual([...places].sort((a, b) => a - b));
  });
});
