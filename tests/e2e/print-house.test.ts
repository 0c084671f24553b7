import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { expect, test } from '@playwright/test';
import { PNG } from 'pngjs';

const COMMAND = resolve(import.meta.dirname, '../../bin/vetro.mjs');
const FOLDER = mkdtempSync(join(tmpdir(), 'vetro-print-'));

interface Run {
  readonly child: ChildProcess;
  readonly said: () => string;
  readonly ended: Promise<number | null>;
}

function vetro(...args: readonly string[]): Run {
  const child = spawn('node', [COMMAND, ...args], { cwd: FOLDER });
  let text = '';
  const hear = (piece: Buffer) => {
    text += String(piece);
  };
  child.stdout.on('data', hear);
  child.stderr.on('data', hear);
  return { child, said: () => text, ended: new Promise((done) => child.once('exit', done)) };
}

async function startHouse(port: string): Promise<Run & { readonly address: string }> {
  const house = vetro('print-house', '--port', port, '--folder', 'house', '--speed', '500');
  await expect.poll(house.said).toMatch(/stands at http:\S+\d/);
  return { ...house, address: /http:\S+\d/.exec(house.said())![0] };
}

test('a strike-off is ordered, jams, is killed in the middle, and comes out once', async () => {
  expect(await vetro('new', 'tiling', '--config', '4.8.8', '--side', '10mm', '-o', 'floor.json').ended).toBe(
    0,
  );
  const house = await startHouse('0');
  const hand = (what: string) =>
    fetch(`${house.address}/hand`, { method: 'POST', body: JSON.stringify({ do: what }) });
  const args = ['order', 'floor.json', '-o', 'print.png', '--substrate', 'linen', '--length', '3m'] as const;
  const order = vetro(...args, '--house', house.address);
  await expect.poll(order.said).toContain('printing at');
  await hand('jam');
  await expect.poll(order.said).toContain('the cloth is jammed');
  house.child.kill('SIGKILL');
  await house.ended;
  const again = await startHouse(new URL(house.address).port);
  await hand('mend');
  expect(await order.ended).toBe(0);
  expect(order.said()).toContain('done');
  expect(PNG.sync.read(readFileSync(join(FOLDER, 'print.png')))).toMatchObject({ width: 1181, height: 1181 });
  // The same order again is done at once: nothing is printed twice.
  const second = vetro(...args, '--house', house.address);
  expect(await second.ended).toBe(0);
  expect(second.said()).not.toContain('printing');
  again.child.kill('SIGKILL');
  await again.ended;
  const gone = vetro(...args, '--house', 'http://127.0.0.1:9', '--patience', '0.2');
  expect(await gone.ended).toBe(2);
  expect(gone.said()).toContain('No print house answers at http://127.0.0.1:9');
});
