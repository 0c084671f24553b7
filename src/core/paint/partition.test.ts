import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { netOf, someNet, unitOf } from '../../../tests/some-net.ts';
import { rgbOf } from '../colour/hex.ts';
import { BYTE_OF_LINEAR, LINEAR_OF_BYTE } from '../colour/linear.ts';
import { mulDivFloor } from '../exact/mul-div-floor.ts';
import { surdToNumber } from '../exact/surd.ts';
import { checkPartition, cornerAt } from '../faces/check-partition.ts';
import type { Partition } from '../faces/partition.ts';
import { groundShown, leaksOf } from './leaks.ts';
import { paintRoll } from './paint-roll.ts';
import { paintRows, paintTile, preparePainting } from './painting.ts';

type Point = readonly [number, number];

/** Area of a polygon inside the pixel at (column, row): cut by its four sides one after the other. */
function areaIn(points: readonly Point[], column: number, row: number): number {
  const sides: readonly ((point: Point) => number)[] = [
    ([x]) => x - column,
    ([x]) => column + 1 - x,
    ([, y]) => y - row,
    ([, y]) => row + 1 - y,
  ];
  let left = points;
  for (const side of sides) {
    left = left.flatMap((a, index) => {
      const b = left[(index + 1) % left.length]!;
      const [da, db] = [side(a), side(b)];
      const kept: Point[] = da >= 0 ? [a] : [];
      if (da * db < 0) {
        const part = da / (da - db);
        kept.push([a[0] + (b[0] - a[0]) * part, a[1] + (b[1] - a[1]) * part]);
      }
      return kept;
    });
  }
  const twice = left.reduce((sum, [x, y], index) => {
    const [nextX, nextY] = left[(index + 1) % left.length]!;
    return sum + x * nextY - nextX * y;
  }, 0);
  return Math.abs(twice / 2);
}

/** A tile painted the plain way: every pixel asks every face, in doubles. */
function paintPlainly(net: Partition, width: number, height: number): number[] {
  const polygons = net.faces.flatMap((face) => {
    const points = face.corners.map((corner): Point => {
      const { x, y } = cornerAt(net, corner);
      return [surdToNumber(x) * width, (1 - surdToNumber(y)) * height];
    });
    const light = rgbOf(net.shades[face.fill.shade]!.hex).map((byte) => LINEAR_OF_BYTE[byte]!);
    return [-1, 0, 1].flatMap((across) =>
      [-1, 0, 1].map((down) => ({
        light,
        points: points.map(([x, y]): Point => [x + across * width, y + down * height]),
      })),
    );
  });
  return Array.from({ length: width * height }, (_, index) => index).flatMap((index) => {
    const sums = [0, 0, 0];
    for (const { light, points } of polygons) {
      const area = areaIn(points, index % width, Math.floor(index / width));
      for (let channel = 0; channel < 3; channel += 1) sums[channel]! += area * light[channel]!;
    }
    return [...sums.map((sum) => BYTE_OF_LINEAR[Math.min(65535, Math.round(sum))]!), 255];
  });
}

const someTile = fc.tuple(fc.integer({ min: 1, max: 23 }), fc.integer({ min: 1, max: 23 }));

describe('a painted partition', () => {
  it('takes of every face as much as lies in a pixel', () => {
    fc.assert(
      fc.property(someNet, someTile, (net, [width, height]) => {
        expect(checkPartition(net).closed).toBe(true);
        const painted = paintTile(unitOf(net), { width, height });
        const plain = paintPlainly(net, width, height);
        // Vertices are rounded to 1/256 pixel: two levels of 255 at most in these shades.
        const worst = painted.reduce((most, byte, at) => Math.max(most, Math.abs(byte - plain[at]!)), 0);
        expect(worst).toBeLessThanOrEqual(2);
      }),
      { numRuns: 150 },
    );
  });

  it('is the same in very high tiles, whose edges are looked up by parts', () => {
    const shakes = Array.from({ length: 16 }, (_, at) => [(at * 83) % 300, (at * 131) % 300] as const);
    for (const height of [2049, 2113, 4700]) {
      const net = netOf(2, 3, shakes);
      const painted = paintTile(unitOf(net), { width: 1, height });
      const plain = paintPlainly(net, 1, height);
      expect(
        painted.reduce((most, byte, at) => Math.max(most, Math.abs(byte - plain[at]!)), 0),
      ).toBeLessThanOrEqual(2);
      expect(paintRoll(unitOf(net), { width: 3, height }).differingBytes).toBe(0);
    }
  });

  it('rolls back byte for byte', () => {
    fc.assert(
      fc.property(someNet, someTile, (net, [width, height]) => {
        expect(paintRoll(unitOf(net), { width, height })).toMatchObject({
          differingBytes: 0,
          leakingPixels: 0,
        });
      }),
      { numRuns: 300 },
    );
  });

  it('lets nothing through: faces of one shade show no edge', () => {
    fc.assert(
      fc.property(someNet, someTile, (net, [width, height]) => {
        const plain = { ...net, shades: net.shades.map((shade) => ({ ...shade, hex: '#7a5b3c' })) };
        const painted = new Set(new Uint32Array(paintTile(unitOf(plain), { width, height }).buffer));
        expect(painted.size).toBe(1);
      }),
    );
  });

  it('is the same in a window of any width, and round the tile', () => {
    const net = netOf(
      3,
      2,
      Array.from({ length: 16 }, (_, index) => [index * 17, index * 11] as const),
    );
    const tile = { width: 31, height: 19 };
    const whole = new Uint32Array(paintTile(unitOf(net), tile).buffer);
    for (const [x, y, width] of [
      [0, 0, 7],
      [13, -5, 31],
      [-40, 60, 100],
    ] as const) {
      const painting = preparePainting(unitOf(net), { tile, width, offset: { x, y }, look: 'flat' });
      const rows = new Uint32Array(width * 4);
      paintRows(painting, 0, 4, rows);
      rows.forEach((pixel, at) => {
        const column = (((x + (at % width)) % 31) + 31) % 31;
        const row = (((y + Math.floor(at / width)) % 19) + 19) % 19;
        expect(pixel).toBe(whole[row * 31 + column]);
      });
    }
  });

  it('leaves clear faces clear, and shows the others unmixed at their edge', () => {
    const net = netOf(
      2,
      1,
      Array.from({ length: 16 }, () => [250, 0] as const),
    );
    const cleared: Partition = {
      ...net,
      faces: net.faces.map((face) =>
        face.fill.shade === 0 ? { ...face, fill: { kind: 'clear', shade: 0 } } : face,
      ),
    };
    const painted = paintTile(unitOf(cleared), { width: 4, height: 1 });
    const pixels = Array.from({ length: 4 }, (_, at) => [...painted.subarray(at * 4, at * 4 + 4)]);
    // Half a pixel to the right of 0 and 2 the faces begin: 0 … 1/2 is the second, half covered.
    const second = rgbOf(net.shades[1]!.hex);
    expect(pixels).toEqual([
      [...second, 128],
      [0, 0, 0, 0],
      [...second, 128],
      [...second, 255],
    ]);
    // Over a ground, that shows where faces are clear; the hairline test counts it there, and fills them for the proof.
    expect(groundShown(unitOf(cleared), { width: 4, height: 1 })(0)).toBe(3);
    expect(leaksOf(unitOf(cleared), { width: 4, height: 1 })!(0)).toBe(0);
    const ground = { key: 'G', name: 'Ground', hex: '#ffffff' };
    const row = new Uint32Array(4);
    const window = {
      tile: { width: 4, height: 1 },
      width: 4,
      offset: { x: 0, y: 0 },
      look: 'flat',
      ground,
    } as const;
    paintRows(preparePainting(unitOf(cleared), window), 0, 1, row);
    expect([...new Uint8Array(row.buffer, 4, 4)]).toEqual([255, 255, 255, 255]);
  });
});

describe('mulDivFloor', () => {
  it('is exact where the product is not', () => {
    const some = fc.integer({ min: -400_000_000, max: 400_000_000 });
    fc.assert(
      fc.property(some, some, some, (a, b, c) => {
        fc.pre(c !== 0);
        const product = BigInt(a) * BigInt(b);
        const down = product % BigInt(c) !== 0n && product < 0n !== c < 0 ? 1n : 0n;
        expect(mulDivFloor(a, b, c) + 0).toBe(Number(product / BigInt(c) - down) + 0);
      }),
    );
  });
});
