import { readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { expect } from '@playwright/test';
import sharp from 'sharp';
import { isUnderWay, type Job } from '../../src/contracts/job.ts';
import { designFromText } from '../../src/core/design/exchange/counts-text.ts';
import { startPrintHouse } from '../../src/server/print-house/print-house.ts';
import { WRITER } from './helpers.ts';
import { type OwnServer, ownDatabase, startOwn } from './own-server.ts';
import { test } from './test.ts';

/** Rounds of killing the server; VETRO_KILLS asks for more. */
const ROUNDS = Number(process.env['VETRO_KILLS'] ?? 10);

/** Rounds of killing it while it sends and has things printed: each makes what it broke off once more. */
const SENDING_ROUNDS = Math.ceil(ROUNDS / 4);

/** Millimetres of cloth a second: a strike-off is printed while the server is killed and comes back. */
const PRINTED_A_SECOND = 400;

/** Kills a server a while later: at another moment of what it does each time. */
function killIn(server: OwnServer, milliseconds: number): Promise<void> {
  return new Promise((done) => {
    setTimeout(() => void server.kill().then(done), milliseconds);
  });
}

test('no save that was acknowledged is lost when the server is killed', async ({ request }) => {
  test.setTimeout(60_000 + ROUNDS * 20_000);
  const data = ownDatabase();
  let version = 0;
  let id = '';
  let acknowledged = 0;
  for (let round = 0; round < ROUNDS; round += 1) {
    const server = await startOwn(data);
    const at = (path: string) => `${server.address}/api/designs${path}`;
    if (id !== '') {
      const stored = (await (await request.get(at(`/${id}`))).json()) as {
        version: number;
        document: { name: string };
      };
      // The last write may have been stored without its answer.
      expect(stored.version).toBeGreaterThanOrEqual(version);
      expect(stored.version).toBeLessThanOrEqual(version + 1);
      expect(stored.document.name).toBe(`Save ${stored.version}`);
      version = stored.version;
    }
    let killed: Promise<void> | undefined;
    try {
      for (let saves = 0; ; saves += 1) {
        // The end comes at another moment of a write each time.
        if (saves === 3 + (round % 4)) killed = killIn(server, 3 * (round % 7));
        const document = { ...designFromText('warp: A4 B4', 'x'), name: `Save ${version + 1}` };
        const answer =
          id === ''
            ? await request.post(at(''), { data: { document }, headers: WRITER, timeout: 5000 })
            : await request.put(at(`/${id}`), {
                data: { version, document },
                headers: WRITER,
                timeout: 5000,
              });
        if (!answer.ok()) break;
        const saved = (await answer.json()) as { id: string; version: number };
        ({ id, version } = saved);
        acknowledged += 1;
      }
    } catch {
      // The server is gone.
    }
    await killed;
  }
  expect(acknowledged).toBeGreaterThan(ROUNDS);
});

test('killed while it sends and has things printed, it sends whole files and prints each order once', async ({
  request,
}) => {
  test.setTimeout(60_000 + SENDING_ROUNDS * 30_000);
  const data = ownDatabase();
  const folder = join(dirname(data), 'house');
  const house = await startPrintHouse({ port: 0, folder, speed: PRINTED_A_SECOND });
  const env = { VETRO_PRINT_HOUSE: `http://127.0.0.1:${house.port}` };
  let server = await startOwn(data, env);
  const jobs = async () => (await (await request.get(`${server.address}/api/jobs`)).json()) as Job[];
  const document = { ...designFromText('warp: A40 B20 C10', 'Killed while sent'), resolution: '150' };
  const stored = await request.post(`${server.address}/api/designs`, { data: { document }, headers: WRITER });
  const { id: designId } = (await stored.json()) as { id: string };
  const order = async (file: string, query: string) => {
    const wish = { designId, version: 1, file, query };
    const answer = await request.post(`${server.address}/api/jobs`, { data: wish, headers: WRITER });
    expect(answer.ok()).toBe(true);
  };
  for (let round = 0; round < SENDING_ROUNDS; round += 1) {
    // Each asks for what was not made yet: a picture of another size, another length of cloth.
    await order('tile.jpg', `size=${8000 + round}px x 6000px`);
    await order('tile.png', `size=${12000 + round}px x 12000px`);
    await order('print.png', `length=${500 + round} mm`);
    const isSo = round % 2 === 0 ? isUnderWay : ({ made }: Job) => made > 0;
    await expect
      .poll(async () => (await jobs()).some((job) => job.state === 'working' && isSo(job)))
      .toBe(true);
    await killIn(server, 60 * round);
    server = await startOwn(data, env);
  }
  const ended = () => expect.poll(async () => (await jobs()).some(isUnderWay)).toBe(false);
  await ended();
  // What was killed three times is not begun again by itself; it is asked for.
  for (const { id, state, trouble } of await jobs()) {
    if (state === 'done') continue;
    expect(trouble).toContain('Vetro ended 3 times while it was made.');
    await request.post(`${server.address}/api/jobs/${id}/again`, { headers: WRITER });
  }
  await ended();
  const made = (await jobs()).filter(({ state }) => state === 'done');
  expect(made).toHaveLength(3 * SENDING_ROUNDS);
  for (const job of made) {
    expect(job.trouble).toBe('');
    const file = await request.get(`${server.address}/api/jobs/${job.id}/file`);
    const bytes = await file.body();
    expect(bytes).toHaveLength(job.bytes);
    const [width, height] = (/size=(\d+)px\D+(\d+)px/.exec(job.query.replaceAll('+', ' ')) ?? []).slice(1);
    // Read to its last row, or the library throws.
    await sharp(bytes, { limitInputPixels: false }).resize(64, 64).raw().toBuffer();
    if (width !== undefined) {
      expect(await sharp(bytes, { limitInputPixels: false }).metadata()).toMatchObject({
        width: Number(width),
        height: Number(height),
      });
    }
  }
  const table = JSON.parse(readFileSync(join(folder, 'table.json'), 'utf8')) as {
    readonly orders: readonly { readonly state: string; readonly length: number }[];
  };
  expect(table.orders.map(({ length }) => length).sort()).toEqual(
    Array.from({ length: SENDING_ROUNDS }, (_, round) => 500 + round),
  );
  expect(table.orders.every(({ state }) => state === 'done')).toBe(true);
  await server.kill();
  await house.close();
});
