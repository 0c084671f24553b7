import { expect } from '@playwright/test';
import { designFromText } from '../../src/core/design/exchange/counts-text.ts';
import { WRITER } from './helpers.ts';
import { ownDatabase, startOwn } from './own-server.ts';
import { test } from './test.ts';

/** Rounds of killing the server; VETRO_KILLS asks for more. */
const ROUNDS = Number(process.env['VETRO_KILLS'] ?? 10);

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
    const killIn = (milliseconds: number) =>
      new Promise<void>((done) => {
        setTimeout(() => void server.kill().then(done), milliseconds);
      });
    let killed: Promise<void> | undefined;
    try {
      for (let saves = 0; ; saves += 1) {
        // The end comes at another moment of a write each time.
        if (saves === 3 + (round % 4)) killed = killIn(3 * (round % 7));
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
