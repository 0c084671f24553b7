import { execFileSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { afterAll, describe, expect, it } from 'vitest';
import { designFromStart } from '../../src/core/design/starts.ts';
import { makeFile } from '../../src/server/sending/make-file.ts';

/**
 * Pictures of the image library, read byte by byte by the standards and by other programs: JFIF 1.02 and ITU-T T.81, TIFF 6.0
 * (tiffinfo of libtiff), the ICC profile's signature, and zip (unzip of Info-ZIP).
 */
const folder = mkdtempSync(join(tmpdir(), 'vetro-sent-'));
afterAll(() => rmSync(folder, { recursive: true }));

const FLOOR = designFromStart('tiling', '4.8.8');

async function sent(file: string, query = ''): Promise<Buffer> {
  const { pieces } = makeFile({ design: FLOOR, file, query: new URLSearchParams(query) });
  const bytes: Uint8Array[] = [];
  for await (const piece of pieces) bytes.push(typeof piece === 'string' ? Buffer.from(piece) : piece);
  return Buffer.concat(bytes);
}

/** Segments of a JPEG up to its data: marker and bytes. Source: ITU-T T.81, B.1.1.4. */
function segmentsOf(jpeg: Buffer): readonly { readonly marker: number; readonly bytes: Buffer }[] {
  const segments: { marker: number; bytes: Buffer }[] = [];
  for (let at = 2; jpeg[at + 1] !== 0xda; ) {
    expect(jpeg[at]).toBe(0xff);
    const length = jpeg.readUInt16BE(at + 2);
    segments.push({ marker: jpeg[at + 1]!, bytes: jpeg.subarray(at + 4, at + 2 + length) });
    at += 2 + length;
  }
  return segments;
}

const APP0 = 0xe0;
const APP2 = 0xe2;
const FRAME = 0xc0;

describe('a JPEG', () => {
  it('of 12 in at 300 dpi has 3600 pixels a side, says so, and embeds sRGB', async () => {
    const jpeg = await sent('tile.jpg', 'size=12in&quality=90');
    const segments = segmentsOf(jpeg);
    const jfif = segments[0]!;
    expect(jfif.marker).toBe(APP0);
    expect(jfif.bytes.toString('latin1', 0, 5)).toBe('JFIF\0');
    // Units 1: pixels an inch.
    expect([jfif.bytes[7], jfif.bytes.readUInt16BE(8), jfif.bytes.readUInt16BE(10)]).toEqual([1, 300, 300]);
    const profile = segments.find(({ marker }) => marker === APP2)!.bytes;
    expect(profile.toString('latin1', 0, 12)).toBe('ICC_PROFILE\0');
    // Bytes 36 to 39 of a profile are "acsp", 16 to 19 its colour space. Source: ICC.1:2010, 7.2.
    const icc = profile.subarray(14);
    expect([icc.toString('latin1', 36, 40), icc.toString('latin1', 16, 20)]).toEqual(['acsp', 'RGB ']);
    const frame = segments.find(({ marker }) => marker === FRAME)!.bytes;
    expect([frame.readUInt16BE(1), frame.readUInt16BE(3)]).toEqual([3600, 3600]);
  });

  it.each([
    ['full', 0x11],
    ['half', 0x22],
  ])('of %s colour detail samples it so', async (chroma, sampling) => {
    const segments = segmentsOf(await sent('tile.jpg', `chroma=${chroma}`));
    const frame = segments.find(({ marker }) => marker === FRAME)!.bytes;
    // Sampling factors of the first component. Source: ITU-T T.81, B.2.2.
    expect(frame[7]).toBe(sampling);
  });

  it('of more pixels a side than its library takes is refused before any work', () => {
    // ITU-T T.81 has sixteen bits a side; JPEG_MAX_DIMENSION of the usual library is 65 500.
    for (const side of [65_501, 65_535]) {
      expect(() =>
        makeFile({ design: FLOOR, file: 'tile.jpg', query: new URLSearchParams(`size=${side}px x 100px`) }),
      ).toThrow(expect.objectContaining({ code: 'send/kind-side' }));
    }
  });

  it('leaves the profile out when told to, and nothing else', async () => {
    const without = await sent('tile.jpg', 'profile=none');
    expect(segmentsOf(without).some(({ marker }) => marker === APP2)).toBe(false);
    const pixels = (file: Buffer) => sharp(file).raw().toBuffer();
    expect((await pixels(without)).equals(await pixels(await sent('tile.jpg')))).toBe(true);
  });
});

describe('a TIFF', () => {
  it.each([
    ['lzw', 5],
    ['deflate', 8],
  ])('packed by %s is read by libtiff, with its resolution and profile', async (compression, scheme) => {
    const path = join(folder, `${compression}.tif`);
    writeFileSync(path, await sent('tile.tif', `size=4in x 2in&compression=${compression}`));
    const info = execFileSync('tiffinfo', [path], { encoding: 'utf8' });
    expect(info).toContain('Image Width: 1200 Image Length: 600');
    // Tag 259. Source: TIFF 6.0, section 13; TIFF Technical Note of 2002 for 8, deflate.
    expect(execFileSync('tiffdump', [path], { encoding: 'utf8' })).toContain(`(259) SHORT (3) 1<${scheme}>`);
    expect(info).toMatch(/Resolution: 300, 300 pixels\/inch/);
    expect(info).toContain('ICC Profile: <present>');
  });

  it('says 72 for 72, and a fraction as it is', async () => {
    const path = join(folder, 'coarse.tif');
    for (const [dpi, told] of [
      ['72', '72, 72'],
      ['72.5', '72.5, 72.5'],
    ] as const) {
      writeFileSync(path, await sent('tile.tif', `dpi=${dpi}`));
      expect(execFileSync('tiffinfo', [path], { encoding: 'utf8' })).toContain(
        `Resolution: ${told} pixels/inch`,
      );
    }
  });
});

describe('a pack', () => {
  it('is read by another tool, and its parts are the single files', async () => {
    const path = join(folder, 'pack.zip');
    writeFileSync(path, await sent('pack.zip', 'size=100mm&words=For+the+booking+hall.&dpi=150'));
    expect(execFileSync('unzip', ['-t', path], { encoding: 'utf8' })).toContain('No errors detected');
    const to = join(folder, 'pack');
    execFileSync('unzip', ['-q', path, '-d', to]);
    const part = (name: string) => readFileSync(join(to, name));
    const hash = (bytes: Buffer) => createHash('sha256').update(bytes).digest('hex');
    const { name } = FLOOR;
    expect(readdirSync(to).sort()).toEqual(
      [
        'Read me.txt',
        `${name}.png`,
        `${name} 100mm.png`,
        `${name} ticket.pdf`,
        `${name} shades.csv`,
        `${name}.json`,
      ].sort(),
    );
    expect(hash(part(`${name}.png`))).toBe(hash(await sent('tile.png', 'dpi=150')));
    expect(hash(part(`${name} 100mm.png`))).toBe(hash(await sent('tile.png', 'dpi=150&size=100mm')));
    expect(hash(part(`${name}.json`))).toBe(hash(await sent('design.json')));
    expect(part('Read me.txt').toString()).toContain('For the booking hall.');
    expect(execFileSync('pdftotext', [join(to, `${name} ticket.pdf`), '-'], { encoding: 'utf8' })).toContain(
      name,
    );
  });
});
