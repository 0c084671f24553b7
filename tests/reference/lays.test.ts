import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { compile, compileUnit } from '../../src/core/design/compile-design.ts';
import type { Design } from '../../src/core/design/design-schema.ts';
import type { Arrangement, Lay } from '../../src/core/design/lay/lay-schema.ts';
import { symmetryOf } from '../../src/core/design/lay/lay-symmetry.ts';
import { newTiling } from '../../src/core/design/new-design.ts';
import { laidStructure } from '../../src/core/design/plaid/laid-plaid.ts';
import { readDesign } from '../../src/core/design/read-design.ts';
import { gcd } from '../../src/core/exact/rational.ts';
import { surdToNumber } from '../../src/core/exact/surd.ts';
import { paintRows, preparePainting } from '../../src/core/paint/painting.ts';
import { BOX_GROUPS, groupBlock } from '../../src/core/repeat/lay/group-blocks.ts';
import { SIXTY_GROUPS, sixtyMotions } from '../../src/core/repeat/lay/sixty-groups.ts';
import type { RepeatUnit } from '../../src/core/repeat/repeat-unit.ts';
import { floatCounts } from '../../src/core/thread/weaves/float-counts.ts';
import { layersOf } from '../../src/core/thread/weaves/layers.ts';
import { motifOf, type SomePiece } from '../motif-of.ts';
import { sampleDesign } from '../sample-design.ts';

function laid<D extends Design>(design: D, arrangement: Arrangement, more: Partial<Lay> = {}): D {
  return { ...design, lay: { ...design.lay, arrangement, ...more } };
}

const SQUARES = readDesign(
  newTiling({
    name: 'Squares',
    shades: [
      { key: 'A', name: 'A', hex: '#102030' },
      { key: 'B', name: 'B', hex: '#f0e0d0' },
    ],
    form: { kind: 'regular', name: '4.8.8' },
    colours: 'sides',
    size: '10 mm',
  }),
);

describe('half-drop and brick by p/q', () => {
  const parts = Array.from({ length: 11 }, (_, at) => at + 2).flatMap((q) =>
    Array.from({ length: q - 1 }, (_, p) => [p + 1, q] as const).filter(
      ([p]) => gcd(BigInt(p), BigInt(q)) === 1n,
    ),
  );

  // The upright repeat is q·w × h and w × q·h, p/q in lowest terms (common practice of the trade).
  it.each(parts)('%i/%i', (p, q) => {
    const built = compileUnit(SQUARES).pitch;
    const size = (kind: 'half-drop' | 'brick') => {
      const { pitch } = compile(laid(SQUARES, { kind, by: `${p}/${q}` }));
      return [surdToNumber(pitch.x) / surdToNumber(built.x), surdToNumber(pitch.y) / surdToNumber(built.y)];
    };
    expect(size('half-drop').map((side) => Math.round(side * 1e9) / 1e9)).toEqual([q, 1]);
    expect(size('brick').map((side) => Math.round(side * 1e9) / 1e9)).toEqual([1, q]);
  });

  it('of a sett by whole threads comes round after as many columns as the greatest common divisor says', () => {
    const sett = sampleDesign('warp: A4 B2 C6\nweave: plain\ndensity: 20/in');
    const picks = 12;
    for (let step = 1; step < picks; step += 1) {
      const { content } = compile(
        laid(sett, { kind: 'free', across: { x: '12', y: String(step) }, up: { x: '0', y: '12' } }),
      );
      const columns = content.kind === 'cells' ? content.width / 12 : 0;
      expect(columns).toBe(picks / Number(gcd(BigInt(step), BigInt(picks))));
    }
  });
});

describe('the plane groups', () => {
  it('have as many motions in a primitive cell as International Tables give (vol. A; from memory)', () => {
    const motions = {
      ...{ pm: 2, pg: 2, cm: 2, p2: 2, p2mm: 4, p2mg: 4, p2gg: 4, c2mm: 4, p4: 4, p4mm: 8, p4gm: 8 },
      ...{ p3: 3, p3m1: 6, p31m: 6, p6: 6, p6mm: 12 },
    };
    for (const group of BOX_GROUPS) expect(groupBlock(group, 'across').copies.length).toBe(motions[group]);
    for (const group of SIXTY_GROUPS) expect(sixtyMotions(group).length).toBe(motions[group]);
  });

  // A triangle of no symmetry, off all mirrors and centres, is copied; the group is found by looking at the cloth.
  const hook: SomePiece = {
    x: '0',
    y: '0',
    shape: {
      kind: 'line',
      points: [
        { x: '2', y: '1/2', bend: 'corner', radius: '0' },
        { x: '3', y: '7/10', bend: 'corner', radius: '0' },
        { x: '23/10', y: '1', bend: 'corner', radius: '0' },
      ],
      run: 'closed',
      width: null,
      ends: 'round',
      dashes: null,
      strap: null,
    },
  };

  it.each(SIXTY_GROUPS)('%s is found where a motif is copied by it', (group) => {
    const unit = compile(motifOf([hook], { lay: { kind: 'group', group, way: 'across' } }, 10));
    expect(symmetryOf(unit)?.group).toBe(group);
  });
});

/** One repeat at a pixel a thread: red, green, blue, opaque. */
function painted(unit: RepeatUnit): { data: Buffer; width: number; height: number } {
  const { grid } = unit;
  if (grid.step !== 'thread') throw new Error('expected threads');
  const tile = { width: grid.ends, height: grid.picks };
  const painting = preparePainting(unit, { tile, width: tile.width, offset: { x: 0, y: 0 }, look: 'flat' });
  const pixels = new Uint32Array(tile.width * tile.height);
  paintRows(painting, 0, tile.height, pixels);
  return { data: Buffer.from(pixels.buffer), ...tile };
}

describe('laid threads are the same picture as an image library makes of one repeat', () => {
  const sett = sampleDesign('warp: A3 B2 C4 D1\nweft: B3 C1 A4 D2\nweave: 2/3Z\ndensity: 20/in');
  const { data, width, height } = painted(compileUnit(sett));
  const raw = { raw: { width, height, channels: 4 as const } };
  const one = () => sharp(data, raw);

  async function sheet(
    across: number,
    up: number,
    parts: readonly (readonly [sharp.Sharp, number, number])[],
  ) {
    const inputs = await Promise.all(
      parts.map(async ([part, left, top]) => ({ input: await part.png().toBuffer(), left, top })),
    );
    return sharp({
      create: { width: across, height: up, channels: 4, background: '#00000000' },
    })
      .composite(inputs)
      .raw()
      .toBuffer();
  }

  it.each([
    [
      'p2mm',
      2,
      2,
      () => [
        [one().flop().flip(), width, 0],
        [one().flip(), 0, 0],
        [one(), 0, height],
        [one().flop(), width, height],
      ],
    ],
    [
      'pm',
      2,
      1,
      () => [
        [one(), 0, 0],
        [one().flop(), width, 0],
      ],
    ],
    [
      'pg',
      1,
      2,
      () => [
        [one(), 0, height],
        [one().flop(), 0, 0],
      ],
    ],
    [
      'p2',
      2,
      1,
      () => [
        [one(), 0, 0],
        [one().rotate(180), width, 0],
      ],
    ],
    [
      'p4',
      2,
      2,
      () => [
        [one(), 0, height],
        [one().rotate(270), width, height],
        [one().rotate(180), width, 0],
        [one().rotate(90), 0, 0],
      ],
    ],
  ] as const)('%s', async (group, across, up, parts) => {
    expect(width).toBe(height);
    const wanted = await sheet(
      across * width,
      up * height,
      parts() as unknown as readonly (readonly [sharp.Sharp, number, number])[],
    );
    const made = painted(compile(laid(sett, { kind: 'group', group, way: 'across' }, { pivots: 'doubled' })));
    expect(made.data.equals(wanted)).toBe(true);
  });

  it('a half-drop', async () => {
    const half = height / 2;
    const upper = one().extract({ left: 0, top: 0, width, height: half });
    const lower = one().extract({ left: 0, top: half, width, height: half });
    const wanted = await sheet(2 * width, height, [
      [one(), 0, 0],
      [lower, width, 0],
      [upper, width, half],
    ]);
    const made = painted(compile(laid(sett, { kind: 'half-drop', by: '1/2' })));
    expect(made.data.equals(wanted)).toBe(true);
  });
});

describe('a twill that is mirrored', () => {
  const twill = sampleDesign('warp: A8\nweft: B8\nweave: 2/2Z\ndensity: 20/in');
  const fixed = {
    ...twill,
    construction: {
      ...twill.construction,
      warp: {
        bands: [
          { shade: 'A', count: 7 },
          { shade: 'C', count: 1 },
        ],
        mirror: 'none' as const,
      },
    },
  };

  it('on its last end is a pointed twill: the ends go up to the point and back, each once', () => {
    const { ends, picks, up } = laidStructure(
      laid(
        { ...fixed, shades: [...fixed.shades, { key: 'C', name: 'C', hex: '#888888' }] },
        { kind: 'group', group: 'pm', way: 'across' },
      ),
    );
    // Threading 1 2 3 4 … 8 7 … 2 of a 2/2 twill (common practice; Z. Grosicki, Watson's Textile Design and Colour, from memory).
    expect([ends, picks]).toEqual([14, 4]);
    for (let pick = 0; pick < picks; pick += 1) {
      for (let end = 0; end < ends; end += 1) {
        const along = end < 8 ? end : 14 - end;
        expect(up[pick * ends + end]).toBe((along - pick + 8) % 4 < 2 ? 1 : 0);
      }
    }
    expect(floatCounts({ ends, picks, up }).weft.longest).toBe(3);
    expect(layersOf({ ends, picks, up })).toHaveLength(1);
  });

  it('beside itself has a float twice as long at the mirror', () => {
    const structure = laidStructure(
      laid(
        { ...fixed, shades: [...fixed.shades, { key: 'C', name: 'C', hex: '#888888' }] },
        { kind: 'group', group: 'pm', way: 'across' },
        { pivots: 'doubled' },
      ),
    );
    expect(structure.ends).toBe(16);
    expect(floatCounts(structure).weft.longest).toBe(4);
  });
});
