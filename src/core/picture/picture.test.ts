import { differenceCiede2000 } from 'culori';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { LINEAR_OF_BYTE } from '../colour/linear.ts';
import { bandsOfLine, hexOfLight } from './bands-of-line.ts';
import { type BlockGrid, blocksAlong, coarsen, finestBlock, gatherBlocks } from './block-grid.ts';
import { blocksOnLine } from './blocks-on-line.ts';
import { shareOut } from './share-out.ts';

interface Picture {
  readonly width: number;
  readonly height: number;
  readonly pixels: Uint8Array;
}

const somePicture: fc.Arbitrary<Picture> = fc
  .tuple(fc.integer({ min: 1, max: 13 }), fc.integer({ min: 1, max: 11 }), fc.integer({ min: 1, max: 9999 }))
  .map(([width, height, seed]) => ({
    width,
    height,
    pixels: Uint8Array.from({ length: width * height * 3 }, (_, at) => (at * seed * 37 + (at >> 2)) % 256),
  }));

function gridOf({ width, height, pixels }: Picture, block: number): BlockGrid {
  const gatherer = gatherBlocks({ width, height }, block, LINEAR_OF_BYTE);
  gatherer.addRows(pixels);
  return gatherer.finish();
}

describe('blocks of a picture', () => {
  it('take the mean light of their pixels, those cut by the edge too', () => {
    fc.assert(
      fc.property(somePicture, fc.integer({ min: 1, max: 6 }), (picture, block) => {
        const grid = gridOf(picture, block);
        expect(grid.columns).toBe(blocksAlong(picture.width, block));
        const sums = new Map<number, number[]>();
        for (let y = 0; y < picture.height; y += 1) {
          for (let x = 0; x < picture.width; x += 1) {
            const place = Math.floor(y / block) * grid.columns + Math.floor(x / block);
            const lights = sums.get(place) ?? [];
            lights.push(LINEAR_OF_BYTE[picture.pixels[(y * picture.width + x) * 3]!]!);
            sums.set(place, lights);
          }
        }
        for (const [place, lights] of sums) {
          const mean = lights.reduce((sum, light) => sum + light, 0) / lights.length;
          expect(grid.light[place * 3]).toBeCloseTo(mean, 6);
        }
      }),
    );
  });

  it('come out the same when they are made of smaller ones', () => {
    fc.assert(
      fc.property(
        somePicture,
        fc.integer({ min: 1, max: 3 }),
        fc.integer({ min: 1, max: 4 }),
        (picture, block, times) => {
          const once = gridOf(picture, block * times);
          const twice = coarsen(gridOf(picture, block), times);
          expect({ ...twice, light: [] }).toEqual({ ...once, light: [] });
          once.light.forEach((light, at) => {
            expect(twice.light[at]).toBeCloseTo(light, 6);
          });
        },
      ),
    );
  });

  it('are the same however many rows come at a time', () => {
    const pixels = Uint8Array.from({ length: 5 * 7 * 3 }, (_, at) => (at * 73) % 256);
    const gatherer = gatherBlocks({ width: 5, height: 7 }, 2, LINEAR_OF_BYTE);
    for (const [from, to] of [
      [0, 1],
      [1, 5],
      [5, 7],
    ] as const)
      gatherer.addRows(pixels.subarray(from * 15, to * 15));
    expect(gatherer.finish()).toEqual(gridOf({ width: 5, height: 7, pixels }, 2));
  });

  it('are as small as a picture of that size allows', () => {
    expect(finestBlock(1, 1)).toBe(1);
    expect(finestBlock(1000, 700)).toBe(1);
    expect(finestBlock(8660, 5774)).toBe(9);
  });

  it('are refused for far too large a picture', () => {
    expect(() => gatherBlocks({ width: 20_000, height: 20_000 }, 8, LINEAR_OF_BYTE)).toThrow(
      expect.objectContaining({
        code: 'picture/too-large',
        facts: { width: 20_000, height: 20_000, most: 120 },
      }),
    );
  });
});

describe('the blocks under a line', () => {
  const grid = gridOf({ width: 10, height: 6, pixels: Uint8Array.from({ length: 180 }, (_, at) => at) }, 2);

  it('are as long as the line, together', () => {
    const some = fc.record({
      x: fc.double({ min: 0, max: 10, noNaN: true }),
      y: fc.double({ min: 0, max: 6, noNaN: true }),
    });
    fc.assert(
      fc.property(some, some, (from, to) => {
        const length = Math.hypot(to.x - from.x, to.y - from.y);
        fc.pre(length > 0.01);
        const sum = blocksOnLine(grid, from, to).reduce((all, piece) => all + piece.length, 0);
        expect(Math.abs(sum - length)).toBeLessThan(0.01);
      }),
    );
  });

  it('come in the line’s order, and backward when it is drawn backward', () => {
    const [from, to] = [
      { x: 0, y: 1 },
      { x: 10, y: 1 },
    ];
    const there = blocksOnLine(grid, from, to);
    expect(there.map(({ length }) => Number(length.toFixed(9)))).toEqual([2, 2, 2, 2, 2]);
    const lights = there.map(({ light }) => light);
    expect(blocksOnLine(grid, to, from).map(({ light }) => light)).toEqual(lights.reverse());
  });

  it('are one for a point, on the edge too, and outside it is the edge that counts', () => {
    expect(blocksOnLine(grid, { x: 10, y: 6 }, { x: 10, y: 6 })).toHaveLength(1);
    expect(blocksOnLine(grid, { x: -5, y: 3 }, { x: 20, y: 3 })).toHaveLength(5);
  });
});

describe('the bands of a line', () => {
  const light = (byte: number) => {
    const value = LINEAR_OF_BYTE[byte]!;
    return [value, value, value] as const;
  };
  const greys = (...bytes: readonly number[]) => bytes.map((byte) => ({ light: light(byte), length: 1 }));

  it('join what is nearly alike in the mean of its light, and nothing else', () => {
    const { bands } = bandsOfLine(greys(100, 102, 200), { merge: 3, shades: 8 });
    expect(bands).toEqual([
      { hex: '#656565', length: 2 },
      { hex: '#c8c8c8', length: 1 },
    ]);
    expect(bandsOfLine(greys(100, 102, 200), { merge: 0, shades: 8 }).bands).toHaveLength(3);
  });

  it('have no more shades than are wished, and come out the same every time', () => {
    const pieces = greys(10, 240, 20, 250, 15, 130, 128, 245);
    const wish = { merge: 0, shades: 3 };
    const { bands } = bandsOfLine(pieces, wish);
    expect(new Set(bands.map(({ hex }) => hex)).size).toBe(3);
    expect(bands.map(({ length }) => length)).toEqual([1, 1, 1, 1, 1, 2, 1]);
    expect(bandsOfLine(pieces, wish).bands).toEqual(bands);
  });

  it('say how many colours became one, and how far the furthest came', () => {
    const pieces = Array.from({ length: 100 }, (_, at) => greys(2 * at + 20)[0]!);
    const all = bandsOfLine(pieces, { merge: 0, shades: 100 });
    expect([all.bands.length, all.colours]).toEqual([100, 100]);
    // Sixteen bits of light and back to a byte.
    expect(all.furthest).toBeLessThan(1e-9);
    const few = bandsOfLine(pieces, { merge: 0, shades: 5 });
    expect(few.colours).toBe(100);
    const difference = differenceCiede2000();
    const labs = few.bands.flatMap(({ hex, length }) => Array.from({ length }, () => hex));
    const furthest = Math.max(...labs.map((hex, at) => difference(hex, hexOfLight(pieces[at]!.light))));
    // Colours of bands are told in bytes.
    expect(Math.abs(few.furthest - furthest)).toBeLessThan(0.2);
    expect(few.furthest).toBeGreaterThan(3);
  });

  it('are one for a picture of one colour', () => {
    expect(bandsOfLine(greys(77, 77, 77), { merge: 0, shades: 1 })).toEqual({
      bands: [{ hex: '#4d4d4d', length: 3 }],
      colours: 1,
      furthest: 0,
    });
  });

  it('mix light, not bytes: half black and half white is a light grey', () => {
    expect(hexOfLight([65535 / 2, 65535 / 2, 65535 / 2])).toBe('#bcbcbc');
  });
});

describe('shareOut', () => {
  it('keeps the whole, gives each at least one, and rounds by less than one', () => {
    const lengths = fc.array(fc.double({ min: 0.001, max: 1000, noNaN: true }), {
      minLength: 1,
      maxLength: 40,
    });
    fc.assert(
      fc.property(lengths, fc.integer({ min: 1, max: 5000 }), (some, wished) => {
        const total = Math.max(wished, some.length);
        const counts = shareOut(some, total);
        expect(counts.reduce((sum, count) => sum + count, 0)).toBe(total);
        expect(Math.min(...counts)).toBeGreaterThanOrEqual(1);
      }),
    );
  });

  it.each([
    [[1, 1, 1], 10, [4, 3, 3]],
    [[1, 3], 8, [2, 6]],
    [[1000, 1, 1], 5, [3, 1, 1]],
    [[1, 1, 1], 2, [1, 1, 1]],
  ] as const)('%j of %i is %j', (lengths, total, counts) => {
    expect(shareOut(lengths, total)).toEqual(counts);
  });
});
