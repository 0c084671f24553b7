import { describe, expect, it } from 'vitest';
import { LINEAR_OF_BYTE } from '../../src/core/colour/linear.ts';
import { checkDesign } from '../../src/core/design/check-design.ts';
import { compile } from '../../src/core/design/compile-design.ts';
import { newTiling, type TilingOrder } from '../../src/core/design/new-design.ts';
import type { FormSpec } from '../../src/core/design/tiling/form-schema.ts';
import { surdToNumber } from '../../src/core/exact/surd.ts';
import { unitToSvg } from '../../src/core/formats/svg/unit-svg.ts';
import { paintRows, paintTile, preparePainting } from '../../src/core/paint/painting.ts';
import type { RepeatUnit } from '../../src/core/repeat/repeat-unit.ts';
import { ARCHIMEDEAN, type Archimedean } from '../../src/core/tiling/forms/archimedean.ts';
import { TWO_KINDS, type TwoKinds } from '../../src/core/tiling/forms/two-kinds.ts';
import { insides, rendered } from '../svg-renderers.ts';

/** Black and white, so that a pixel says how much of it is covered. */
const SHADES = [
  { key: 'A', name: 'Black', hex: '#000000' },
  { key: 'B', name: 'White', hex: '#ffffff' },
];

const WIDTH = 240;

/** How near coverages are: one level of 16. */
const NEAR = 1 / 16;

const SCENES: readonly (readonly [name: string, order: Partial<TilingOrder> & Pick<TilingOrder, 'form'>])[] =
  [
    ['octagons and squares', { form: { kind: 'regular', name: '4.8.8' } }],
    ['hexagons and triangles', { form: { kind: 'regular', name: '3.6.3.6' } }],
    ['diamonds', { form: { kind: 'rhombus', across: '3', up: '4' }, colours: 'neighbours' }],
    ['herringbone', { form: { kind: 'herringbone', width: '1/3' }, turn: 3, colours: 'directions' }],
    ['a dual', { form: { kind: 'regular', name: '3.3.4.3.4' }, dual: true, colours: 'directions' }],
    [
      'lines along sides, and to the middles',
      {
        form: { kind: 'regular', name: '6.6.6' },
        faces: ['A'],
        lines: [
          {
            what: 'sides',
            of: null,
            width: '3 mm',
            shade: 'B',
            ends: 'round',
            dashes: null,
            skip: 1,
            every: 1,
            first: 0,
          },
          {
            what: 'spokes',
            of: null,
            width: '1 mm',
            shade: 'B',
            ends: 'flat',
            dashes: null,
            skip: 1,
            every: 1,
            first: 0,
          },
        ],
      },
    ],
    [
      'stars drawn out, and dashes',
      {
        form: { kind: 'regular', name: '4.8.8' },
        faces: ['A'],
        lines: [
          {
            what: 'stars',
            of: '8',
            width: '2 mm',
            shade: 'B',
            ends: 'sharp',
            dashes: null,
            skip: 3,
            every: 1,
            first: 0,
          },
          {
            what: 'sides',
            of: '8|8',
            width: '2 mm',
            shade: 'B',
            ends: 'round',
            dashes: { count: 3, share: '1/2' },
            skip: 1,
            every: 1,
            first: 0,
          },
        ],
      },
    ],
    [
      'gaps with rounded corners',
      {
        form: { kind: 'regular', name: '3.4.6.4' },
        faces: ['A'],
        gaps: { by: '2 mm', corner: '4 mm', shade: 'B' },
      },
    ],
  ];

function sceneOf(order: Partial<TilingOrder> & Pick<TilingOrder, 'form'>): RepeatUnit {
  return compile(newTiling({ name: 'Scene', shades: SHADES, ...order }));
}

describe('tilings against two SVG renderers, resvg and librsvg (through sharp)', () => {
  it.each(SCENES)('%s: the same inside, covered alike at edges', async (_, order) => {
    const unit = sceneOf(order);
    const height = Math.round((WIDTH * surdToNumber(unit.pitch.y)) / surdToNumber(unit.pitch.x));
    const ours = paintTile(unit, { width: WIDTH, height });
    const all = await rendered(unitToSvg(unit, 'Scene'), WIDTH, height);
    for (const [name, theirs] of Object.entries(all)) {
      expect(theirs.length).toBe(ours.length);
      let [edges, far] = [0, 0];
      for (let at = 0; at < ours.length; at += 4) {
        // Ours is light, which is coverage of white; theirs is mixed as bytes, so the byte is.
        const [own, other] = [LINEAR_OF_BYTE[ours[at]!]! / 65535, theirs[at]! / 255];
        const inside = ours[at] === 0 || ours[at] === 255;
        if (!inside) edges += 1;
        // A renderer may touch a pixel that an edge only just reaches.
        if (Math.abs(own - other) > NEAR) far += 1;
      }
      const inside = insides(ours, theirs, WIDTH);
      expect(inside.count, name).toBeGreaterThan(WIDTH * 10);
      expect(inside.differing, name).toBe(0);
      expect(edges, name).toBeGreaterThan(WIDTH / 2);
      // Where three edges meet in a pixel, blending one path after another cannot be right: a pixel or two a corner.
      expect(far / edges, name).toBeLessThan(0.02);
    }
  });
});

describe('tilings mixed as stored values, as those renderers mix them', () => {
  const COLOURS = ['#2e4c63', '#efe6cf', '#c79a3b', '#8c4a35'].map((hex, at) => ({
    key: 'ABCD'[at]!,
    name: hex,
    hex,
  }));

  it.each<[string, FormSpec]>([
    ['4.8.8', { kind: 'regular', name: '4.8.8' }],
    ['3.4.6.4', { kind: 'regular', name: '3.4.6.4' }],
    ['pentagons', { kind: 'pentagons', half: '1/4' }],
    ['kites', { kind: 'kites', above: '1', below: '2' }],
  ])('%s: the same inside, within 16 levels at edges', async (_, form) => {
    const unit = compile(newTiling({ name: 'Scene', shades: COLOURS, form, colours: 'directions' }));
    const height = Math.round((WIDTH * surdToNumber(unit.pitch.y)) / surdToNumber(unit.pitch.x));
    const tile = { width: WIDTH, height };
    const ours = new Uint32Array(WIDTH * height);
    const window = { tile, width: WIDTH, offset: { x: 0, y: 0 }, look: 'flat', mixing: 'bytes' } as const;
    paintRows(preparePainting(unit, window), 0, height, ours);
    const bytes = new Uint8Array(ours.buffer);
    const { librsvg } = await rendered(unitToSvg(unit, 'Scene'), WIDTH, height);
    let [far, corners] = [0, 0];
    for (let at = 0; at < bytes.length; at += 1) {
      const gap = Math.abs(bytes[at]! - librsvg![at]!);
      if (gap > 16) far += 1;
      if (gap > 0) corners += 1;
    }
    const inside = insides(bytes, librsvg!, WIDTH);
    expect(inside.count).toBeGreaterThan(WIDTH * 10);
    expect(inside.differing).toBe(0);
    expect(corners).toBeGreaterThan(0);
    // Where three faces meet in a pixel, one path after another cannot be right.
    expect(far / corners).toBeLessThan(0.05);
  });
});

const FAMILIES: readonly FormSpec[] = [
  { kind: 'rows', squares: 2, triangles: 3 },
  { kind: 'rhombus', across: '5', up: '2' },
  { kind: 'angled', rise: 1 },
  { kind: 'angled', rise: 5 },
  { kind: 'parallelograms', height: '2/3', lean: '3/5' },
  { kind: 'bricks', height: '1/3', step: '2/5' },
  { kind: 'basket', count: 3 },
  { kind: 'herringbone', width: '2/5' },
  { kind: 'squares', small: '2/3' },
  { kind: 'octagons', slant: '3/2' },
  { kind: 'triangles', height: '3/2', tip: '1/2' },
  { kind: 'triangles', height: '1', tip: '0' },
  { kind: 'hexagons', across: '2/3', up: '1/4' },
  { kind: 'kites', above: '1/2', below: '2' },
  { kind: 'pentagons', half: '1/3' },
  { kind: 'hexagons-triangles', other: '5/3' },
];

const EVERY: readonly (readonly [string, FormSpec, boolean])[] = [
  ...(Object.keys(ARCHIMEDEAN) as Archimedean[]).map((name): FormSpec => ({ kind: 'regular', name })),
  ...(Object.keys(TWO_KINDS) as TwoKinds[]).map((name): FormSpec => ({ kind: 'two-kinds', name })),
  ...FAMILIES,
].flatMap((form) =>
  [false, true].map((dual) => [`${dual ? 'dual of ' : ''}${JSON.stringify(form)}`, form, dual] as const),
);

describe('every tiling of the list, and its dual', () => {
  it.each(EVERY)('%s is compiled, proven and painted', (_, form, dual) => {
    const design = newTiling({
      name: 'One',
      shades: SHADES,
      form,
      dual,
      colours: 'directions',
      size: '8 mm',
    });
    const report = checkDesign({ ...design, resolution: '40' });
    expect(report.numbers).toMatchObject({ kind: 'partition', closed: true, loose: 0, turned: 0 });
    expect(report.painted).toMatchObject({ differingBytes: 0, leakingPixels: 0 });
    expect(report.painted?.comparedBytes).toBeGreaterThan(0);
  });
});
