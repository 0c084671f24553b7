import { createCanvas, ImageData } from '@napi-rs/canvas';
import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { PLY_BLENDS } from '../../src/core/colour/ply-blend.ts';
import { compile } from '../../src/core/design/compile-design.ts';
import { designFromStart } from '../../src/core/design/starts.ts';
import { ORIGIN } from '../../src/core/exact/plane.ts';
import { randomNumbers } from '../../src/core/exact/random-numbers.ts';
import { ONE, rational } from '../../src/core/exact/rational.ts';
import { surd, ZERO_SURD } from '../../src/core/exact/surd.ts';
import type { Rectangle } from '../../src/core/exact/vector.ts';
import type { Partition } from '../../src/core/faces/partition.ts';
import { foldTiling } from '../../src/core/faces/torus.ts';
import { flattenedSvg } from '../../src/core/formats/svg/flattened-svg.ts';
import { unitToSvg } from '../../src/core/formats/svg/unit-svg.ts';
import { paintTile } from '../../src/core/paint/painting.ts';
import { rowBlender } from '../../src/core/paint/plies/blend-rows.ts';
import { closeNumbers } from '../../src/core/repeat/contents.ts';
import { layPlies } from '../../src/core/repeat/plies/lay-plies.ts';
import { type Ply, type RepeatUnit, straightUnit } from '../../src/core/repeat/repeat-unit.ts';
import { NODE_FILES } from '../../src/server/sending/node-compressor.ts';
import { insides, rendered } from '../svg-renderers.ts';

const shade = (key: string, hex: string) => ({ key, name: key, hex });

function ply(unit: RepeatUnit, change: Partial<Ply> = {}): Omit<Ply, 'times'> {
  return { unit, shift: ORIGIN, blend: 'normal', strength: ONE, clip: null, shown: true, ...change };
}

/** Threads of a millimetre; each row as the digits of its shades, the first at the top. */
function cells(rows: readonly string[], ...hexes: readonly string[]): RepeatUnit {
  return straightUnit(
    {
      kind: 'cells',
      width: rows[0]!.length,
      height: rows.length,
      shades: hexes.map((hex, at) => shade(String(at), hex)),
      rows: rows.map((row) => Uint16Array.from(row, Number)),
      rowAt: Uint32Array.from(rows, (_, at) => at),
    },
    { x: ONE, y: ONE },
  );
}

const TWILL = ['1100', '0110', '0011', '1001'];

/** A square of so many millimetres with a diamond in it, whose corners are the middles of its sides; clear beside it. */
function diamonds(side: number, hex: string): RepeatUnit {
  const half = surd(rational(1, 2));
  const one = surd(1);
  const [left, right] = [ZERO_SURD, one];
  const middles = [
    { x: half, y: ZERO_SURD },
    { x: one, y: half },
    { x: half, y: one },
    { x: ZERO_SURD, y: half },
  ];
  const beside = [
    // What is left over comes together round the corner of four squares.
    { x: half, y: one },
    { x: one, y: half },
    { x: surd(rational(3, 2)), y: one },
    { x: one, y: surd(rational(3, 2)) },
  ];
  const torus = foldTiling({
    lattice: [
      { x: right, y: left },
      { x: left, y: right },
    ],
    faces: [middles, beside],
  });
  const content: Partition = {
    kind: 'partition',
    shades: [shade('A', hex)],
    vertices: torus.vertices,
    faces: torus.faces.map(({ corners }, at) => ({
      corners,
      fill: { kind: at === 0 ? 'shade' : 'clear', shade: 0 },
    })),
  };
  const zero = rational(0);
  return {
    lattice: [
      { x: ONE, y: zero },
      { x: zero, y: ONE },
    ],
    repeat: { width: ONE, height: ONE },
    pitch: { x: surd(side), y: surd(side) },
    grid: { step: 'mm' },
    content,
  };
}

const alphas = (bytes: Uint8Array) => bytes.filter((_, at) => at % 4 === 3);

describe('blend modes against a canvas library (Skia)', () => {
  /** Opaque pixels of random colours, with greys, blacks and whites among them. */
  function pixels(seed: number): Uint32Array {
    const next = randomNumbers(seed);
    const byte = () => [0, 255, 128, next() % 256, next() % 256, next() % 256][next() % 6]!;
    return Uint32Array.from({ length: 64 * 64 }, () => {
      const grey = byte();
      const [red, green, blue] = next() % 4 === 0 ? [grey, grey, grey] : [byte(), byte(), byte()];
      return ((255 << 24) | (blue << 16) | (green << 8) | red) >>> 0;
    });
  }

  const image = (row: Uint32Array) => new ImageData(new Uint8ClampedArray(row.slice().buffer), 64, 64);

  it.each(PLY_BLENDS)(
    '%s, to two levels, three where it is weaker: it rounds to bytes at each step',
    (blend) => {
      for (const strength of [1, 0.75, 0.2]) {
        const under = pixels(1);
        const over = pixels(2);
        const above = createCanvas(64, 64);
        above.getContext('2d').putImageData(image(over), 0, 0);
        const context = createCanvas(64, 64).getContext('2d');
        context.putImageData(image(under), 0, 0);
        context.globalCompositeOperation = blend === 'normal' ? 'source-over' : blend;
        context.globalAlpha = strength;
        context.drawImage(above, 0, 0);
        const theirs = context.getImageData(0, 0, 64, 64).data;
        rowBlender(blend, strength)(under, over);
        const ours = new Uint8Array(under.buffer);
        const most = ours.reduce((worst, byte, at) => Math.max(worst, Math.abs(byte - theirs[at]!)), 0);
        expect(most, `${blend} at ${strength}`).toBeLessThanOrEqual(strength === 1 ? 2 : 3);
      }
    },
  );
});

describe('a 2/2 twill of 50 % grey over white, multiplied at 20 %', () => {
  const unit = layPlies([
    ply(cells(['0'], '#ffffff')),
    ply(cells(TWILL, '#ffffff', '#808080'), { blend: 'multiply', strength: rational(1, 5) }),
  ]);

  it('darkens what it fills to 255 − 0.2 × (255 − 128) ≈ 230 (W3C Compositing and Blending Level 1)', () => {
    const bytes = paintTile(unit, { width: 4, height: 4 });
    const first = TWILL.flatMap((row) => [...row].map((digit) => (digit === '1' ? 230 : 255)));
    expect([...bytes.filter((_, at) => at % 4 === 0)]).toEqual(first);
  });

  it('is drawn so by two renderers', async () => {
    const tile = { width: 64, height: 64 };
    const ours = paintTile(unit, tile);
    for (const [name, theirs] of Object.entries(await rendered(unitToSvg(unit, 'Twill'), 64, 64))) {
      const { count, differing } = insides(ours, theirs, tile.width, 1);
      expect([name, differing]).toEqual([name, 0]);
      expect(count).toBeGreaterThan(2000);
    }
  });
});

describe('two diamond lattices, one in the gaps of the other', () => {
  const side = 20;
  const into = { x: surd(side / 2), y: surd(side / 2) };
  const lower = ply(diamonds(side, '#2c5f7c'));
  const upper = ply(diamonds(side, '#c8a24a'), { shift: into });

  it.each([40, 37, 20, 13])(
    'touch and never overlap at %i pixels: what both cover adds up to the whole',
    (width) => {
      const tile = { width, height: width };
      const [below, above] = [lower, upper].map((each) => alphas(paintTile(layPlies([each]), tile)));
      for (const [at, cover] of below!.entries()) {
        expect(Math.abs(cover + above![at]! - 255)).toBeLessThanOrEqual(1);
      }
    },
  );

  it('close together, and are drawn as they are painted', async () => {
    const unit = layPlies([lower, upper]);
    expect(closeNumbers(unit).closed).toBe(true);
    const ours = paintTile(unit, { width: 80, height: 80 });
    for (const [name, theirs] of Object.entries(await rendered(unitToSvg(unit, 'Diamonds'), 80, 80))) {
      const { count, differing } = insides(ours, theirs, 80, 1);
      expect([name, differing]).toEqual([name, 0]);
      expect(count).toBeGreaterThan(4000);
    }
  });
});

describe('plies of several repeats, clipped and blended', () => {
  it('are drawn as they are painted, by two renderers', async () => {
    const unit = layPlies([
      ply(cells(['01', '10'], '#f4efe2', '#8c2f25')),
      ply(diamonds(3, '#2c5f7c'), { blend: 'screen', strength: rational(3, 4) }),
      ply(cells(['012', '120', '201'], '#20304a', '#c8a24a', '#ffffff'), {
        blend: 'difference',
        clip: 1,
        shift: { x: surd(1), y: surd(0) },
      }),
    ]);
    expect(unit.content.plies.map(({ times }) => times.across)).toEqual([3, 2, 2]);
    const ours = paintTile(unit, { width: 240, height: 240 });
    for (const [name, theirs] of Object.entries(await rendered(unitToSvg(unit, 'Plies'), 240, 240))) {
      const { count, differing } = insides(ours, theirs, 240, 2);
      expect([name, differing]).toEqual([name, 0]);
      expect(count).toBeGreaterThan(30_000);
    }
  });
});

describe('plies as a flattened drawing', () => {
  const unit = compile(designFromStart('plies', 'fade-in-scales'));
  const TILE = { width: 200, height: 400 };

  async function flattened(sheet?: Rectangle): Promise<string> {
    let svg = '';
    const scale = { dpi: rational(127) };
    for await (const piece of flattenedSvg(unit, 'Scales', { scale, sheet, ...NODE_FILES })) svg += piece;
    return svg;
  }

  it('are pixel by pixel what is painted, in two renderers', async () => {
    const svg = await flattened();
    expect(svg).not.toMatch(/mix-blend-mode|opacity|mask/);
    // 40 × 80 mm at 127 dpi.
    expect(svg).toMatch(/^<svg [^>]*width="40mm" height="80mm"/);
    const ours = paintTile(unit, TILE);
    for (const [name, theirs] of Object.entries(await rendered(svg, TILE.width, TILE.height))) {
      const off = ours.reduce((most, byte, at) => Math.max(most, Math.abs(byte - theirs[at]!)), 0);
      // Renderers that enlarge a picture, or render larger, smooth it; inside a shade nothing may differ.
      const { count, differing } = insides(ours, theirs, 200, 1);
      expect([name, differing]).toEqual([name, 0]);
      expect(count).toBeGreaterThan(10_000);
      if (name === 'librsvg') expect(off).toBeLessThanOrEqual(1);
    }
  });

  it('hold the very picture that is sent as PNG', async () => {
    const svg = await flattened({ width: rational(100), height: rational(60) });
    const [, base64] = /base64,([A-Za-z0-9+/=]+)"/.exec(svg)!;
    const bytes = await sharp(Buffer.from(base64!, 'base64')).ensureAlpha().raw().toBuffer();
    expect(bytes.equals(paintTile(unit, TILE))).toBe(true);
    expect(svg).toMatch(/viewBox="0 0 100 60"/);
  });
});
