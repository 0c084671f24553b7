import { PNG } from 'pngjs';
import { describe, expect, it } from 'vitest';
import { SAMPLE, sampleDesign } from '../../../tests/sample-design.ts';
import { readDesignText } from '../../core/design/read-design.ts';
import { sendFile } from './send-file.ts';

const DESIGN = sampleDesign(SAMPLE);

function send(file: string, query = ''): Response {
  return sendFile({ design: DESIGN, file, query: new URLSearchParams(query) });
}

async function png(file: string, query = ''): Promise<PNG> {
  return PNG.sync.read(Buffer.from(await send(file, query).arrayBuffer()));
}

describe('sendFile', () => {
  it('sends the tile at the design’s resolution, another, or pixels a thread', async () => {
    expect(await png('tile.png')).toMatchObject({ width: 300, height: 300 });
    expect(await png('tile.png', 'dpi=150')).toMatchObject({ width: 150, height: 150 });
    expect(await png('tile.png', 'perThread=4')).toMatchObject({ width: 96, height: 96 });
    expect(await png('tile.png', 'perThread=1&size=10in x 5in')).toMatchObject({ width: 240, height: 120 });
  });

  it('sends cloth as threads, flat when nobody asks', async () => {
    const flat = await png('tile.png', 'perThread=8');
    expect((await png('tile.png', 'perThread=8&drawn=flat')).data).toEqual(flat.data);
    const tones = (picture: PNG) => new Set(new Uint32Array(picture.data.buffer)).size;
    const threads = await png('tile.png', 'perThread=8&drawn=threads');
    expect(threads).toMatchObject({ width: flat.width, height: flat.height });
    expect(tones(threads)).toBeGreaterThan(tones(flat) * 4);
    expect((await png('tile.png', 'perThread=8&drawn=finished')).data).not.toEqual(threads.data);
  });

  it('sends a swatch at half true size, finer for finer monitors, within bounds', async () => {
    expect(await png('swatch.png', 'across=180&down=150')).toMatchObject({ width: 180, height: 150 });
    expect(await png('swatch.png', 'across=180&down=150&times=2')).toMatchObject({ width: 360 });
    expect(await png('swatch.png', 'across=1e9&down=x')).toMatchObject({ width: 800, height: 1 });
  });

  it('sends a swatch of a repeat that is far larger than a picture', async () => {
    const wide = sampleDesign('warp: A99990 B1\nweave: plain\ndensity: 25/in');
    const response = sendFile({
      design: wide,
      file: 'swatch.png',
      query: new URLSearchParams('across=180&down=150'),
    });
    const picture = PNG.sync.read(Buffer.from(await response.arrayBuffer()));
    expect(picture).toMatchObject({ width: 180, height: 150 });
  });

  it('sends text files that read back', async () => {
    expect(readDesignText(await send('design.json').text())).toEqual(DESIGN);
    expect(await send('counts.txt').text()).toContain('warp: G/8 R6 C/4');
    expect(await send('counts.csv').text()).toContain('warp,Brake red,#8c2f25,6,');
    expect(await send('tile.svg').text()).toContain('<svg');
  });

  it('names the download after the design, for old and new readers', () => {
    const named = sendFile({
      design: { ...DESIGN, name: 'Café check' },
      file: 'tile.svg',
      query: new URLSearchParams('save'),
    });
    expect(named.headers.get('content-disposition')).toBe(
      'attachment; filename="Caf_ check.svg"; filename*=UTF-8\'\'Caf%C3%A9%20check.svg',
    );
  });

  it.each([
    ['tile.gif', '', 'request/missing'],
    ['tile.png', 'dpi=0', 'resolution/range'],
    ['tile.png', 'perThread=0', 'send/per-thread'],
    ['tile.png', 'size=huge', 'number/syntax'],
    ['tile.png', 'drawn=knitted', 'paint/drawn'],
    ['tile.png', 'size=3000in&dpi=9600', 'send/too-large'],
  ])('refuses %s?%s', (file, query, code) => {
    expect(() => send(file, query)).toThrow(expect.objectContaining({ code }));
  });
});
