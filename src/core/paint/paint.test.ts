import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SAMPLE, sampleDesign, someDesign } from '../../../tests/sample-design.ts';
import { rgbOf } from '../colour/hex.ts';
import { BYTE_OF_LINEAR, LINEAR_OF_BYTE } from '../colour/linear.ts';
import { compileUnit } from '../design/compile-design.ts';
import { modulo } from '../exact/modulo.ts';
import { type Cells, cellAt } from '../thread/cells.ts';
import { PLAIN_THREADS, THROUGH } from './cells/thread-light.ts';
import { paintRoll } from './paint-roll.ts';
import { type Look, paintRows, paintTile, preparePainting } from './painting.ts';

const UNIT = compileUnit(sampleDesign(SAMPLE));

const LOOKS: readonly Look[] = [
  'flat',
  PLAIN_THREADS,
  { warp: 0.6, weft: 0.8, light: 20, finished: false },
  { ...PLAIN_THREADS, finished: true },
];

function pixel(bytes: Uint8Array, width: number, x: number, y: number): number[] {
  const at = (y * width + x) * 4;
  return [...bytes.subarray(at, at + 4)];
}

/** Area average of one pixel, by the definition, cell by cell, in exact integers. */
function averageOf(cells: Cells, tile: { width: number; height: number }, x: number, y: number): number[] {
  const overlap = (at: number, pixels: number, cell: number, count: number) =>
    Math.max(0, Math.min((at + 1) * count, (cell + 1) * pixels) - Math.max(at * count, cell * pixels));
  const sums = [0n, 0n, 0n];
  for (let row = 0; row < cells.height; row += 1) {
    for (let column = 0; column < cells.width; column += 1) {
      const weight = overlap(x, tile.width, column, cells.width) * overlap(y, tile.height, row, cells.height);
      rgbOf(cells.shades[cellAt(cells, column, row)]!.hex).forEach((byte, channel) => {
        sums[channel]! += BigInt(weight) * BigInt(LINEAR_OF_BYTE[byte]!);
      });
    }
  }
  const total = BigInt(cells.width * cells.height);
  return [...sums.map((sum) => BYTE_OF_LINEAR[Number((2n * sum + total) / (2n * total))]!), 255];
}

describe('paintRows', () => {
  it('shows each cell as whole pixels at a whole multiple', () => {
    const cells = UNIT.content;
    const tile = { width: cells.width * 3, height: cells.height * 2 };
    const bytes = paintTile(UNIT, tile);
    for (let y = 0; y < tile.height; y += 1) {
      for (let x = 0; x < tile.width; x += 1) {
        const shade = cells.shades[cellAt(cells, Math.floor(x / 3), Math.floor(y / 2))]!;
        expect(pixel(bytes, tile.width, x, y)).toEqual([...rgbOf(shade.hex), 255]);
      }
    }
  });

  it.each([
    [31, 29],
    [7, 5],
    [60, 41],
    [1, 1],
  ])('averages areas in linear light at %d × %d', (width, height) => {
    const tile = { width, height };
    const bytes = paintTile(UNIT, tile);
    for (let y = 0; y < height; y += Math.ceil(height / 6)) {
      for (let x = 0; x < width; x += Math.ceil(width / 6)) {
        expect(pixel(bytes, width, x, y)).toEqual(averageOf(UNIT.content, tile, x, y));
      }
    }
  });

  it('does not depend on where the window lies, in any look and at any size', () => {
    const place = fc.integer({ min: -500, max: 500 });
    const side = fc.integer({ min: 1, max: 90 });
    fc.assert(
      fc.property(
        someDesign,
        side,
        side,
        place,
        place,
        fc.constantFrom(...LOOKS),
        (design, w, h, x, y, look) => {
          const unit = compileUnit(design);
          const tile = { width: w, height: h };
          const whole = new Uint32Array(w * h);
          paintRows(preparePainting(unit, { tile, width: w, offset: { x: 0, y: 0 }, look }), 0, h, whole);
          const piece = new Uint32Array(10 * 4);
          paintRows(preparePainting(unit, { tile, width: 10, offset: { x, y }, look }), 2, 4, piece);
          for (let row = 0; row < 4; row += 1) {
            for (let column = 0; column < 10; column += 1) {
              const expected = whole[modulo(y + 2 + row, h) * w + modulo(x + column, w)];
              expect(piece[row * 10 + column]).toBe(expected);
            }
          }
        },
      ),
      { numRuns: 60 },
    );
  });

  it('draws a thread on top lighter in its middle than where it dives', () => {
    const plain = compileUnit(sampleDesign('shades: A=#808080\nwarp: A2\nweave: plain'));
    const size = 16;
    const tile = { width: 2 * size, height: 2 * size };
    const out = new Uint32Array(tile.width * tile.height);
    paintRows(
      preparePainting(plain, { tile, width: tile.width, offset: { x: 0, y: 0 }, look: PLAIN_THREADS }),
      0,
      tile.height,
      out,
    );
    const light = (x: number, y: number) => out[y * tile.width + x]! & 255;
    expect(light(8, 8)).toBeGreaterThan(light(8, 0));
    expect(light(8, 8)).toBeGreaterThan(light(0, 8));
    expect(new Set(out).size).toBeGreaterThan(8);
  });

  it('lights threads from the side that is asked for, close up and from afar', () => {
    const red = (weave: string, light: number, perThread: number) => {
      const unit = compileUnit(sampleDesign(`shades: A=#808080\nwarp: A2\nweave: ${weave}`));
      const side = 5 * perThread;
      const look = { ...PLAIN_THREADS, light };
      const window = { tile: { width: side, height: side }, width: side, offset: { x: 0, y: 0 }, look };
      const out = new Uint32Array(side * side);
      paintRows(preparePainting(unit, window), 0, side, out);
      const mean = (from: number, count: number) =>
        out.subarray(from, from + count).reduce((sum, pixel) => sum + (pixel & 255), 0) / count;
      return { row: (y: number) => mean(y * side, side), all: mean(0, side * side) };
    };
    // Threads of the weft lie level: their upper side catches light from above, their lower side light from below.
    const [above, below] = [red('sateen 5/2', 90, 16), red('sateen 5/2', 270, 16)];
    expect(above.row(4)).toBeGreaterThan(above.row(12) + 10);
    expect(below.row(12)).toBeGreaterThan(below.row(4) + 10);
    // One cloth and its turned twin answer the same light differently, also where threads are 2 pixels.
    expect(red('satin 5/2', 0, 2).all).not.toBeCloseTo(red('satin 5/2', 90, 2).all, 1);
  });

  it('lets the table show between threads that are thinner than their space', () => {
    const net = compileUnit(sampleDesign('shades: A=#102030\nwarp: A2\nweave: plain'));
    const look = { ...PLAIN_THREADS, warp: 0.25, weft: 0.5 };
    const tile = { width: 32, height: 32 };
    const out = new Uint32Array(32 * 32);
    paintRows(preparePainting(net, { tile, width: 32, offset: { x: 0, y: 0 }, look }), 0, 32, out);
    const [red, green, blue] = rgbOf(THROUGH);
    const open = [...out].filter((pixel) => (pixel & 0xffffff) === ((blue << 16) | (green << 8) | red));
    // A hole is (1 − 1/4) × (1 − 1/2) of the cloth.
    expect(open.length / out.length).toBeCloseTo(0.375, 5);
  });

  it('refuses tiles without pixels', () => {
    for (const tile of [
      { width: 0, height: 5 },
      { width: 5, height: 2.5 },
      { width: Number.NaN, height: 5 },
    ]) {
      expect(() => paintTile(UNIT, tile)).toThrow('paint/size');
    }
  });
});

describe('paintRoll', () => {
  it('finds no difference for a thousand plaids at any size', () => {
    const side = fc.integer({ min: 1, max: 64 });
    fc.assert(
      fc.property(someDesign, side, side, (design, width, height) => {
        expect(paintRoll(compileUnit(design), { width, height }).differingBytes).toBe(0);
      }),
      { numRuns: 1000 },
    );
  });

  it('counts the bytes that differ when a painter depends on its place', () => {
    // A picture whose content changes between the two paintings stands for such a painter.
    let asked = 0;
    const shades = UNIT.content.shades;
    const content = {
      ...UNIT.content,
      get shades() {
        asked += 1;
        return asked > 1 ? shades.map((shade) => ({ ...shade, hex: '#000000' })) : shades;
      },
    };
    const proof = paintRoll({ ...UNIT, content }, { width: 24, height: 24 });
    expect(proof.differingBytes).toBe(24 * 24 * 3);
  });

  it('proves a tile that is too large at a smaller size', () => {
    const proof = paintRoll(UNIT, { width: 100_000, height: 1000 });
    expect(proof.width * proof.height).toBeLessThanOrEqual(1 << 22);
    expect(proof.differingBytes).toBe(0);
  });
});
