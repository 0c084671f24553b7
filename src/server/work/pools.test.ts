import { mkdtempSync, rmSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { build } from 'esbuild';
import { PNG } from 'pngjs';
import sharp from 'sharp';
import { afterAll, afterEach, beforeAll, describe, expect, it } from 'vitest';
import { SAMPLE, sampleDesign } from '../../../tests/sample-design.ts';
import { LIMITS, makePools, type Pools } from './pools.ts';

const ROOT = resolve(import.meta.dirname, '../../..');
const DESIGN = sampleDesign(SAMPLE);
const LARGE = sampleDesign('warp: A200 B150 C90\nweave: 2/2Z');

let folder: string;
let worker: string;
let pools: Pools | undefined;

beforeAll(async () => {
  // Inside the project, so that packages are found.
  folder = mkdtempSync(join(ROOT, 'node_modules', '.vetro-worker-'));
  worker = join(folder, 'worker.mjs');
  await build({
    entryPoints: { worker: join(ROOT, 'src/server/work/worker.ts') },
    outdir: folder,
    outExtension: { '.js': '.mjs' },
    bundle: true,
    splitting: true,
    packages: 'external',
    platform: 'node',
    format: 'esm',
    target: 'node20',
  });
});
afterEach(async () => {
  await pools?.close();
  pools = undefined;
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

function query(text = ''): URLSearchParams {
  return new URLSearchParams(text);
}

describe('threads that work for the server', () => {
  it('make files, read pictures and prove designs as the server itself would', async () => {
    pools = makePools(worker);
    const answer = await pools.file(DESIGN, 'tile.png', query('perThread=4&save='));
    expect(answer.headers.get('content-type')).toBe('image/png');
    expect(answer.headers.get('content-disposition')).toContain('Sample.png');
    const png = PNG.sync.read(Buffer.from(await answer.arrayBuffer()));
    expect([png.width, png.height]).toEqual([96, 96]);
    expect(await (await pools.file(DESIGN, 'counts.txt', query())).text()).toContain('warp:');
    expect(await pools.prove(DESIGN, new AbortController().signal)).toMatchObject({ verdict: 'Exact' });
    const bytes = await sharp({ create: { width: 4, height: 2, channels: 3, background: '#ff0000' } })
      .png()
      .toBuffer();
    const { header, body } = await pools.picture(Uint8Array.from(bytes));
    expect(header).toMatchObject({ width: 4, height: 2 });
    expect(body.byteLength).toBe(4 * 2 * 3 * 2);
  });

  it('tell what is wrong with the data by its code', async () => {
    pools = makePools(worker);
    await expect(pools.file(DESIGN, 'tile.gif', query())).rejects.toThrow('request/missing');
    await expect(pools.file(DESIGN, 'tile.png', query('perThread=x'))).rejects.toThrow(
      expect.objectContaining({ code: 'number/syntax', facts: expect.objectContaining({ text: 'x' }) }),
    );
    await expect(pools.picture(Uint8Array.from(Buffer.from('a letter')))).rejects.toThrow('picture/not-one');
  });

  it('refuse more than may wait, and work on', async () => {
    const large = { ...LIMITS.large, threads: 1, queue: 1 };
    pools = makePools(worker, { ...LIMITS, large });
    const asked = Array.from({ length: 5 }, () => pools!.file(LARGE, 'tile.png', query('perThread=4')));
    const settled = await Promise.allSettled(
      asked.map(async (each) => (await (await each).arrayBuffer()).byteLength),
    );
    const refused = settled.filter(
      (each) => each.status === 'rejected' && (each.reason as { code?: string }).code === 'server/busy',
    );
    expect(refused.length).toBeGreaterThanOrEqual(2);
    const sizes = settled.flatMap((each) => (each.status === 'fulfilled' ? [each.value] : []));
    expect(sizes.length + refused.length).toBe(5);
    expect(new Set(sizes).size).toBe(1);
  });

  it('stop at their limit of time, say so, and come back', async () => {
    pools = makePools(worker, { ...LIMITS, large: { ...LIMITS.large, seconds: 0.05 } });
    const slow = pools.file(LARGE, 'tile.png', query('perThread=40'));
    await expect(slow.then((answer) => answer.arrayBuffer())).rejects.toThrow(/server\/too-long|terminated/);
    expect(await (await pools.file(DESIGN, 'counts.csv', query())).text()).toContain('shade');
  });

  it('leave a check that takes too long unchecked, and stop one that nobody waits for', async () => {
    pools = makePools(worker, { ...LIMITS, proofs: { ...LIMITS.proofs, seconds: 0.01 } });
    expect(await pools.prove(LARGE, new AbortController().signal)).toEqual({
      verdict: 'Unchecked',
      size: '',
      area: 0,
    });
    await pools.close();
    pools = makePools(worker);
    const stop = new AbortController();
    const proof = pools.prove(LARGE, stop.signal);
    stop.abort();
    await expect(proof).rejects.toThrow();
  });

  it('stop making a file that nobody reads on', async () => {
    pools = makePools(worker, { ...LIMITS, large: { ...LIMITS.large, threads: 1 } });
    const answer = await pools.file(LARGE, 'tile.png', query('perThread=1&size=20000x20000px'));
    const reader = answer.body!.getReader();
    await reader.read();
    await reader.cancel();
    // Its thread is free for the next one at once.
    const next = await pools.file(DESIGN, 'tile.png', query('perThread=4'));
    expect((await next.arrayBuffer()).byteLength).toBeGreaterThan(50);
  });
});
