import { existsSync, readdirSync } from 'node:fs';
import { basename, dirname } from 'node:path';
import { expect } from '@playwright/test';
import BetterSqlite3 from 'better-sqlite3';
import { PORT } from '../../playwright.config.ts';
import { designFromText } from '../../src/core/design/exchange/counts-text.ts';
import { WRITER } from './helpers.ts';
import { type OwnServer, ownDatabase, startOwn } from './own-server.ts';
import { test } from './test.ts';

async function save(server: OwnServer, name: string, notes = '') {
  const document = { ...designFromText('warp: A4 B4', name), notes };
  return fetch(`${server.address}/api/designs`, {
    method: 'POST',
    headers: { ...WRITER, 'content-type': 'application/json' },
    body: JSON.stringify({ document }),
  });
}

for (const signal of ['SIGINT', 'SIGTERM'] as const) {
  test(`${signal} closes the database: the file by itself is the whole shelf`, async () => {
    const data = ownDatabase();
    const server = await startOwn(data);
    expect((await save(server, 'Last of the day')).ok).toBe(true);
    expect(await server.end(signal)).toBe(0);
    expect(readdirSync(dirname(data)).filter((name) => /-(wal|shm|owner\.json)$/.test(name))).toEqual([]);
    const kept = new BetterSqlite3(data, { readonly: true });
    expect(kept.prepare('select name from design').all()).toEqual([{ name: 'Last of the day' }]);
    kept.close();
  });
}

test('a second server on one database says who has it, and writes nothing', async () => {
  const data = ownDatabase();
  const first = await startOwn(data);
  const files = readdirSync(dirname(data));
  const second = startOwn(data, { PORT: String(PORT + 2) });
  await expect(second).rejects.toThrow(
    new RegExp(
      `${basename(data)}” is in use by a server \\(process ${first.child.pid} on .*Nothing was written\\.`,
    ),
  );
  expect(readdirSync(dirname(data))).toEqual(files);
  await first.kill();
  // A kill frees it.
  const third = await startOwn(data);
  await third.kill();
});

test('a full disk is told in words, and takes nothing that was saved', async () => {
  const data = ownDatabase();
  const before = await startOwn(data);
  expect((await save(before, 'Before')).ok).toBe(true);
  await before.end('SIGTERM');
  // Room for the database as it is, and little more.
  const server = await startOwn(data, {}, 700);
  let answer = await save(server, 'Notes 0', 'x'.repeat(8000));
  for (let count = 1; answer.ok && count < 200; count += 1) {
    answer = await save(server, `Notes ${count}`, 'x'.repeat(8000));
  }
  expect(answer.status).toBe(507);
  expect(await answer.json()).toMatchObject({
    code: 'database/full',
    detail: expect.stringContaining('The disk is full'),
  });
  const shelf = (await (await fetch(`${server.address}/api/shelf`)).json()) as { total: number };
  await server.kill();
  const after = await startOwn(data);
  const again = (await (await fetch(`${after.address}/api/shelf`)).json()) as { total: number };
  expect(again.total).toBe(shelf.total);
  expect((await save(after, 'After')).ok).toBe(true);
  await after.kill();
  expect(existsSync(data)).toBe(true);
});
