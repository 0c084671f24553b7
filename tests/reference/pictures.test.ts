import { PNG } from 'pngjs';
import { describe, expect, it } from 'vitest';
import { compile } from '../../src/core/design/compile-design.ts';
import type { MotifDesign } from '../../src/core/design/design-schema.ts';
import { LAKE_STEAMER, LAKE_STEAMER_FILE } from '../../src/core/design/lake-steamer.ts';
import { newTiling } from '../../src/core/design/new-design.ts';
import { surdToNumber } from '../../src/core/exact/surd.ts';
import { unitToSvg } from '../../src/core/formats/svg/unit-svg.ts';
import { paintRows, preparePainting } from '../../src/core/paint/painting.ts';
import { type RepeatUnit, repeatSize } from '../../src/core/repeat/repeat-unit.ts';
import { motifOf, type SomePiece } from '../motif-of.ts';
import { picturesOf } from '../pictures-of.ts';
import { rendered } from '../svg-renderers.ts';

const CARRIED = { [LAKE_STEAMER.hash]: LAKE_STEAMER_FILE };

/** The picture as a package for PNGs reads it. */
const STEAMER = PNG.sync.read(Buffer.from(LAKE_STEAMER_FILE.base64, 'base64'));

/** Bytes as they would be mixed by renderers of drawings. */
function painted(unit: RepeatUnit, width: number, height: number): Uint8Array {
  const tile = { width, height };
  const window = { tile, width, offset: { x: 0, y: 0 }, look: 'flat' as const, mixing: 'bytes' as const };
  const out = new Uint32Array(width * height);
  paintRows(preparePainting(unit, window), 0, height, out);
  return new Uint8Array(out.buffer);
}

function showing(piece: Partial<SomePiece>): MotifDesign {
  const rectangle = { kind: 'rectangle', width: '208', height: '240', radii: '0' } as const;
  const shown = { shade: null, picture: LAKE_STEAMER, shape: rectangle, ...piece };
  return { ...motifOf([shown], { step: '1 px' }, 300), pictures: CARRIED };
}

describe('a picture of as many pixels as it takes', () => {
  it('comes out byte for byte as it went in', () => {
    const design = showing({});
    const ours = painted(compile(design, picturesOf(design)), 300, 300);
    const [left, top] = [(300 - 208) / 2, (300 - 240) / 2];
    let differing = 0;
    for (let y = 0; y < 240; y += 1) {
      const row = ours.subarray(((top + y) * 300 + left) * 4, ((top + y) * 300 + left + 208) * 4);
      if (Buffer.compare(Buffer.from(row), STEAMER.data.subarray(y * 208 * 4, (y + 1) * 208 * 4)) !== 0)
        differing += 1;
    }
    expect(differing).toBe(0);
  });
});

/** Mean and largest step, in 255 levels, between two pictures. */
function gaps(ours: Uint8Array, theirs: Uint8Array) {
  let sum = 0;
  let far = 0;
  ours.forEach((byte, at) => {
    const gap = Math.abs(byte - theirs[at]!);
    sum += gap;
    if (gap > 64) far += 1;
  });
  return { mean: sum / ours.length, far: far / ours.length };
}

describe('two renderers of the drawing show a picture where the painter does', () => {
  const TILING = newTiling({
    name: 'Pictures',
    form: { kind: 'regular', name: '6.6.6' },
    shades: motifOf([]).shades,
    colours: 'neighbours',
    size: '60 px',
    picture: { picture: LAKE_STEAMER, turned: true, of: null },
    pictures: CARRIED,
  });
  const DISC = { kind: 'disc', across: '200' } as const;
  it.each([
    ['upright', showing({})],
    ['in a disc, turned and mirrored', showing({ shape: DISC, turn: '30', mirrored: true })],
    ['over the edges of the box', showing({ x: '280', y: '20', turn: '-20' })],
    [
      'all of it in a wide piece',
      showing({
        shape: { kind: 'ellipse', width: '280', height: '140' },
        picture: { ...LAKE_STEAMER, fit: 'fitted' },
      }),
    ],
    ['in faces, each turned', TILING],
  ])('%s', async (_, design) => {
    const unit = compile(design, picturesOf(design));
    const size = repeatSize(unit)!;
    const width = 300;
    const height = Math.round((width * surdToNumber(size.height)) / surdToNumber(size.width));
    const ours = painted(unit, width, height);
    // As far apart as they would be if the picture itself were not compared, but what it covers alone.
    const inGrey = gaps(ours, painted(compile(design, greyPictures(design)), width, height)).mean;
    for (const [name, theirs] of Object.entries(await rendered(unitToSvg(unit, 'Pictures'), width, height))) {
      const { mean, far } = gaps(ours, theirs);
      expect(mean, name).toBeLessThan(inGrey / 4);
      expect(far, name).toBeLessThan(0.01);
    }
  });
});

/** The same pictures, all grey. */
function greyPictures(design: Parameters<typeof picturesOf>[0]): ReturnType<typeof picturesOf> {
  return new Map(
    [...picturesOf(design)].map(([hash, picture]) => [
      hash,
      { ...picture, rgba: picture.rgba.map((_, at) => (at % 4 === 3 ? 255 : 128)) },
    ]),
  );
}

describe('a picture of a chequerboard, far smaller', () => {
  it('is half of the light: 188 of 255 (IEC 61966-2-1)', () => {
    const side = 64;
    const rgba = Uint8Array.from({ length: side * side * 4 }, (_, at) => {
      const pixel = Math.floor(at / 4);
      const dark = ((pixel % side) + Math.floor(pixel / side)) % 2 === 0;
      return at % 4 === 3 || !dark ? 255 : 0;
    });
    const hash = 'b'.repeat(64);
    const shape = { kind: 'rectangle', width: '8', height: '8', radii: '0' } as const;
    const picture = { hash, name: 'Chequers', width: side, height: side, fit: 'filling' } as const;
    const design = motifOf([{ shade: null, shape, picture }]);
    const unit = compile(design, new Map([[hash, { width: side, height: side, rgba }]]));
    const tile = { width: 4, height: 4 };
    const out = new Uint32Array(16);
    paintRows(preparePainting(unit, { tile, width: 4, offset: { x: 0, y: 0 }, look: 'flat' }), 0, 4, out);
    expect(new Set(new Uint8Array(out.buffer))).toEqual(new Set([188, 255]));
  });
});
