import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { SAMPLE, sampleDesign } from '../../../tests/sample-design.ts';
import { makeFile } from './make-file.ts';

const DESIGN = sampleDesign(SAMPLE);

async function bytesOf(file: string, query = '', told?: (made: number, of: number) => void): Promise<Buffer> {
  const { pieces } = makeFile({
    design: DESIGN,
    file,
    query: new URLSearchParams(query),
    ...(told && { told }),
  });
  const bytes: Uint8Array[] = [];
  for await (const piece of pieces) bytes.push(piece as Uint8Array);
  return Buffer.concat(bytes);
}

/** Red, green and blue of every pixel. */
function pixelsOf(file: Buffer): Promise<Buffer> {
  return sharp(file, { limitInputPixels: false }).removeAlpha().raw().toBuffer();
}

/** The largest difference of any byte. */
function apart(a: Buffer, b: Buffer): number {
  expect(a.length).toBe(b.length);
  return a.reduce((worst, byte, at) => Math.max(worst, Math.abs(byte - b[at]!)), 0);
}

describe('pictures of the image library', () => {
  it('hold what a PNG holds: a TIFF every byte, others nearly', async () => {
    const sheet = 'repeats=3x2&dpi=150';
    const png = await pixelsOf(await bytesOf('tile.png', sheet));
    for (const compression of ['lzw', 'deflate']) {
      const tiff = await bytesOf('tile.tif', `${sheet}&compression=${compression}`);
      expect((await pixelsOf(tiff)).equals(png)).toBe(true);
      expect(await sharp(tiff).metadata()).toMatchObject({ density: 150, hasProfile: true });
    }
    expect(apart(await pixelsOf(await bytesOf('tile.jpg', `${sheet}&quality=100`)), png)).toBeLessThan(6);
    expect((await pixelsOf(await bytesOf('tile.webp', `${sheet}&quality=100`))).equals(png)).toBe(true);
  });

  it('is larger by what the cloth will shrink', async () => {
    const plain = await sharp(await bytesOf('tile.jpg', 'size=4in x 4in')).metadata();
    const grown = await sharp(await bytesOf('tile.jpg', 'size=4in x 4in&shrink=4%25,2%25')).metadata();
    expect([plain.width, plain.height]).toEqual([1200, 1200]);
    expect([grown.width, grown.height]).toEqual([Math.round(1200 / 0.98), 1250]);
    expect(grown.density).toBe(300);
  });

  it('tells how far it is', async () => {
    const told: number[] = [];
    await bytesOf('tile.jpg', 'size=1200px x 6000px', (made, of) => told.push(made / of));
    expect(told.at(-1)).toBe(1);
  });

  it.each([
    ['tile.jpg', 'quality=0', 'send/quality'],
    ['tile.jpg', 'quality=101', 'send/quality'],
    ['tile.jpg', 'quality=ninety', 'send/quality'],
    ['tile.jpg', 'chroma=some', 'send/chroma'],
    ['tile.tif', 'compression=zip', 'send/compression'],
    ['tile.jpg', 'size=65536px', 'send/kind-side'],
    ['tile.webp', 'size=16384px', 'send/kind-side'],
    ['tile.jpg', 'shrink=1,2,3', 'send/shrink'],
  ])('refuses %s?%s', async (file, query, code) => {
    await expect(async () => bytesOf(file, query)).rejects.toThrow(expect.objectContaining({ code }));
  });
});
