import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { LINEAR_OF_BYTE } from '../../core/colour/linear.ts';
import { hexOfLight } from '../../core/picture/bands-of-line.ts';
import type { BlockGrid } from '../../core/picture/block-grid.ts';
import { answerPicture } from './answer-picture.ts';
import { readPicture } from './read-picture.ts';

/** Two halves side by side, red and blue, `size` pixels high. */
function halves(size: number): sharp.Sharp {
  const half = (background: string, left: number) => ({
    input: { create: { width: size, height: size, channels: 3 as const, background } },
    left,
    top: 0,
  });
  return sharp({
    create: { width: 2 * size, height: size, channels: 3, background: '#000000' },
  })
    .composite([half('#ff0000', 0), half('#0000ff', size)])
    .removeAlpha();
}

function hexAt({ columns, light }: BlockGrid, column: number, row: number): string {
  const at = (row * columns + column) * 3;
  return hexOfLight([light[at]!, light[at + 1]!, light[at + 2]!]);
}

describe('readPicture', () => {
  it.each(['png', 'webp', 'jpeg'] as const)('reads a %s', async (format) => {
    const bytes = await halves(16).toFormat(format, { lossless: true, quality: 100 }).toBuffer();
    const { grid, notes } = await readPicture(bytes);
    expect(grid).toMatchObject({ width: 32, height: 16, block: 1, columns: 32, rows: 16 });
    expect(notes).toEqual([]);
    expect(hexAt(grid, 3, 3)).toMatch(/^#f[ef]0000$/);
    expect(hexAt(grid, 28, 3)).toMatch(/^#0000f[ef]$/);
  });

  it('turns a photograph upright', async () => {
    const bytes = await halves(16).withMetadata({ orientation: 6 }).jpeg({ quality: 100 }).toBuffer();
    const { grid, notes } = await readPicture(bytes);
    expect(grid).toMatchObject({ width: 16, height: 32 });
    expect(notes).toEqual(['turned']);
    expect(hexAt(grid, 8, 2)).toMatch(/^#f[ef]0000$/);
  });

  it('lays what is transparent on white, and says so', async () => {
    const bytes = await sharp({
      create: { width: 2, height: 1, channels: 4, background: { r: 255, g: 0, b: 0, alpha: 0 } },
    })
      .png()
      .toBuffer();
    const { grid, notes } = await readPicture(bytes);
    expect(notes).toEqual(['laid-on-white']);
    expect(hexAt(grid, 0, 0)).toBe('#ffffff');
  });

  it('takes the first picture of one that moves', async () => {
    const frames = await Promise.all(
      ['#00ff00', '#ff00ff'].map((background) =>
        sharp({ create: { width: 8, height: 8, channels: 3 as const, background } })
          .png()
          .toBuffer(),
      ),
    );
    const bytes = await sharp(frames, { join: { animated: true } })
      .webp({ lossless: true })
      .toBuffer();
    const { grid, notes } = await readPicture(bytes);
    expect(grid).toMatchObject({ width: 8, height: 8 });
    expect(notes).toEqual(['first-of-many']);
    expect(hexAt(grid, 4, 4)).toBe('#00ff00');
  });

  it.each([
    ['of one pixel', 1, 1],
    ['in greys', 40, 30],
  ])('reads one %s', async (name, width, height) => {
    const image = sharp({ create: { width, height, channels: 3, background: '#777777' } });
    const bytes = await (name === 'in greys' ? image.toColourspace('b-w') : image).png().toBuffer();
    const { grid } = await readPicture(bytes);
    expect(grid).toMatchObject({ width, height });
    expect(grid.light[0]).toBe(LINEAR_OF_BYTE[0x77]);
    expect(hexAt(grid, 0, 0)).toBe('#777777');
  });

  it('keeps a large one in larger blocks', async () => {
    const bytes = await sharp({ create: { width: 5000, height: 2000, channels: 3, background: '#123456' } })
      .png()
      .toBuffer();
    const { grid } = await readPicture(bytes);
    expect(grid).toMatchObject({ width: 5000, height: 2000, block: 4, columns: 1250, rows: 500 });
    expect(hexAt(grid, 1249, 499)).toBe('#123456');
  });

  it('refuses what is no picture, of another kind, broken or far too large', async () => {
    await expect(readPicture(Buffer.from('a letter'))).rejects.toThrow('picture/not-one');
    await expect(readPicture(Buffer.alloc(0))).rejects.toThrow('picture/not-one');
    const svg =
      '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><rect width="9" height="9"/></svg>';
    await expect(readPicture(Buffer.from(svg))).rejects.toThrow(
      expect.objectContaining({ code: 'picture/kind', facts: { kind: 'svg', kinds: expect.anything() } }),
    );
    const jpeg = await sharp({ create: { width: 400, height: 400, channels: 3, background: '#a0522d' } })
      .composite([{ input: await halves(100).png().toBuffer() }])
      .jpeg()
      .toBuffer();
    await expect(readPicture(jpeg.subarray(0, jpeg.length / 2))).rejects.toThrow('picture/broken');
    const huge = await sharp({ create: { width: 16000, height: 8000, channels: 3, background: '#000' } })
      .png()
      .toBuffer();
    await expect(readPicture(huge)).rejects.toThrow(
      expect.objectContaining({
        code: 'picture/too-large',
        facts: { width: 16000, height: 8000, most: 120 },
      }),
    );
  });
});

describe('a picture on the wire', () => {
  it('carries its measures in a header and its light in sixteen bits', async () => {
    const answer = await answerPicture(async () => Uint8Array.from(await halves(2).png().toBuffer()));
    const header = JSON.parse(answer.headers.get('x-vetro-picture')!);
    expect(header).toEqual({ width: 4, height: 2, block: 1, columns: 4, rows: 2, notes: [] });
    const view = new DataView(await answer.arrayBuffer());
    expect(view.byteLength).toBe(4 * 2 * 3 * 2);
    expect([view.getUint16(0, true), view.getUint16(2, true), view.getUint16(22, true)]).toEqual([
      65535, 0, 65535,
    ]);
  });
});
