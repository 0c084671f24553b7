import { inflateSync } from 'node:zlib';
import fc from 'fast-check';
import { PNG } from 'pngjs';
import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { nodeCompressor } from '../../../server/sending/node-compressor.ts';
import { encodePng } from './encode-png.ts';
import type { PngImage } from './png-image.ts';

interface Shape {
  readonly width: number;
  readonly height: number;
  readonly across: number;
  readonly down: number;
  readonly channels: 1 | 3 | 4;
  /** Every so many rows differ; those between are equal to the one above. */
  readonly still: number;
}

/** A byte of the picture, from its place within the period. */
function byteAt({ across, down, channels, still }: Shape, at: number, y: number): number {
  const x = at % (across * channels);
  const row = Math.floor((y % down) / still);
  return (x * x * 31 + row * 57 + x * row) % 251;
}

function imageOf(shape: Shape): PngImage {
  const { width, height, across, down, channels, still } = shape;
  return {
    width,
    height,
    pixelsPerMetre: { x: 11_811, y: 11_811 },
    channels,
    palette: channels === 1 ? Uint8Array.from({ length: 768 }, (_, at) => Math.floor(at / 3)) : undefined,
    opacity: undefined,
    period: { across, down },
    rows: function* () {
      let row = new Uint8Array(0);
      for (let y = 0; y < down; y += 1) {
        if (y % still === 0)
          row = Uint8Array.from({ length: across * channels }, (_, at) => byteAt(shape, at, y));
        yield row;
      }
    },
  };
}

async function fileOf(shape: Shape): Promise<Buffer> {
  const pieces: Uint8Array[] = [];
  for await (const piece of encodePng(imageOf(shape), nodeCompressor)) pieces.push(piece);
  return Buffer.concat(pieces);
}

/** What stands in the chunks of image data, which zlib checks by its Adler-32. */
function inflatedRows(file: Buffer): Buffer {
  const data: Buffer[] = [];
  for (let at = 8; at < file.length; at += 12 + file.readUInt32BE(at)) {
    if (file.toString('latin1', at + 4, at + 8) !== 'IDAT') continue;
    data.push(file.subarray(at + 8, at + 8 + file.readUInt32BE(at)));
  }
  return inflateSync(Buffer.concat(data));
}

/** First byte of the picture that is not as it should be, or undefined. */
function wrongIn(shape: Shape, pixels: Uint8Array): string | undefined {
  const line = shape.width * shape.channels;
  if (pixels.length !== line * shape.height) return `${pixels.length} bytes`;
  for (let at = 0; at < pixels.length; at += 1) {
    const y = Math.floor(at / line);
    if (pixels[at] !== byteAt(shape, at % line, y)) return `byte ${at % line} of row ${y}`;
  }
  return undefined;
}

/** Reads a file by two readers, and its data by zlib. */
async function wrongFile(shape: Shape): Promise<string | undefined> {
  const file = await fileOf(shape);
  if (inflatedRows(file).length !== shape.height * (1 + shape.width * shape.channels))
    return 'rows are missing';
  // Reads the CRC of every chunk.
  const theirs = PNG.sync.read(file);
  const read = sharp(file, { limitInputPixels: false });
  const { data } = await (shape.channels === 1 ? read.extractChannel(0) : read)
    .raw()
    .toBuffer({ resolveWithObject: true });
  const four = sharp(data, { raw: { width: shape.width, height: shape.height, channels: shape.channels } });
  const same = await four.ensureAlpha().toColourspace('srgb').raw().toBuffer();
  return wrongIn(shape, data) ?? (same.equals(theirs.data) ? undefined : 'two readers differ');
}

describe('encodePng', () => {
  it('is read as it was made, whether its rows repeat, its picture, both or neither', async () => {
    const shapes = fc.record({
      across: fc.integer({ min: 1, max: 60 }),
      down: fc.integer({ min: 1, max: 9 }),
      more: fc.integer({ min: 0, max: 1500 }),
      below: fc.integer({ min: 0, max: 60 }),
      still: fc.integer({ min: 1, max: 4 }),
      channels: fc.constantFrom(1 as const, 3 as const, 4 as const),
    });
    await fc.assert(
      fc.asyncProperty(shapes, async ({ more, below, ...shape }) => {
        const width = shape.across + more;
        const height = shape.down + below;
        expect(await wrongFile({ ...shape, width, height })).toBe(undefined);
      }),
      { numRuns: 120 },
    );
  });

  it.each<Shape>([
    { width: 30_000, height: 20, across: 10_922, down: 4, channels: 3, still: 1 },
    { width: 30_000, height: 20, across: 10_923, down: 4, channels: 3, still: 1 },
    { width: 70_000, height: 13, across: 32_768, down: 3, channels: 1, still: 2 },
    { width: 70_000, height: 13, across: 32_769, down: 3, channels: 1, still: 2 },
    { width: 1024 + 7, height: 9, across: 7, down: 2, channels: 1, still: 1 },
    { width: 1023 + 7, height: 9, across: 7, down: 2, channels: 1, still: 1 },
  ])('is read as it was made at the edge of what deflate reaches: %o', async (shape) => {
    expect(await wrongFile(shape)).toBe(undefined);
  });

  it('tells every row that is written', async () => {
    const told: number[] = [];
    const shape: Shape = { width: 3000, height: 50, across: 10, down: 8, channels: 3, still: 1 };
    for await (const _ of encodePng(imageOf(shape), nodeCompressor, (rows) => told.push(rows)));
    expect(told.at(-1)).toBe(50);
    expect(told.every((rows, at) => at === 0 || rows > told[at - 1]!)).toBe(true);
  });
});
