import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { expect } from '@playwright/test';
import { PNG } from 'pngjs';
import { HOUSE_PORT } from '../../playwright.config.ts';
import { clothShown, step, WRITER } from './helpers.ts';
import { test } from './test.ts';

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

function hand(address: string, what: string): Promise<Response> {
  return fetch(`${address}/hand`, {
    method: 'POST',
    body: JSON.stringify({ do: what }),
    headers: WRITER,
  });
}

test('a strike-off is ordered, jams, is killed in the middle, and comes out once', async () => {
  expect(await vetro('new', 'tiling', '--config', '4.8.8', '--side', '10mm', '-o', 'floor.json').ended).toBe(
    0,
  );
  const house = await startHouse('0');
  const args = ['order', 'floor.json', '-o', 'print.png', '--substrate', 'linen', '--length', '3m'] as const;
  const order = vetro(...args, '--house', house.address);
  await expect.poll(order.said).toContain('Printing');
  await hand(house.address, 'jam');
  await expect.poll(order.said).toContain('The cloth is jammed');
  house.child.kill('SIGKILL');
  await house.ended;
  const again = await startHouse(new URL(house.address).port);
  await hand(house.address, 'mend');
  expect(await order.ended).toBe(0);
  expect(order.said()).toContain('done');
  expect(PNG.sync.read(readFileSync(join(FOLDER, 'print.png')))).toMatchObject({ width: 1181, height: 1181 });
  // The same order again is done at once: nothing is printed twice.
  const second = vetro(...args, '--house', house.address);
  expect(await second.ended).toBe(0);
  expect(second.said()).not.toContain('Printing');
  again.child.kill('SIGKILL');
  await again.ended;
  const gone = vetro(...args, '--house', 'http://127.0.0.1:9', '--patience', '0.2');
  expect(await gone.ended).toBe(2);
  expect(gone.said()).toContain('No print house answers at http://127.0.0.1:9');
});

test('a strike-off is ordered on the bench, jams, and is laid beside the design; a run is called off', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('link', { name: 'Lakeside saloon curtain' }).click();
  await clothShown(page);
  await step(page, 'Send');
  await page.getByRole('radio', { name: 'Strike-off' }).click();
  const orders = page.getByRole('region', { name: 'At the print house' });
  await expect(orders).toContainText(`No print house answers at http://127.0.0.1:${HOUSE_PORT}`);
  await expect(orders.getByRole('button', { name: 'Order a strike-off' })).toBeDisabled();

  const house = await startHouse(String(HOUSE_PORT));
  // What cannot be read is not ordered, nor what stood there before.
  await orders.getByRole('textbox', { name: 'Length of cloth' }).fill('0 mm');
  await expect(orders.getByRole('button', { name: 'Order a strike-off' })).toBeDisabled();
  await orders.getByRole('textbox', { name: 'Length of cloth' }).fill('2 m');
  // By keys, which stay where they are; pressed twice in haste it is one order.
  const strikeOff = orders.getByRole('button', { name: 'Order a strike-off' });
  await expect(strikeOff).toBeEnabled();
  await strikeOff.focus();
  // The second press follows at once, before any order can be answered.
  await strikeOff.evaluate((button: HTMLButtonElement) =>
    button.addEventListener('click', () => button.click(), { once: true }),
  );
  await page.keyboard.press('Enter');
  await expect(orders).toContainText('of 2000 mm');
  await expect(strikeOff).toBeFocused();
  await hand(house.address, 'jam');
  await expect(orders).toContainText('The cloth is jammed at');
  const sent = await page.context().newPage();
  await sent.goto('/sent');
  await expect(sent.getByRole('listitem').first()).toContainText('The cloth is jammed at');
  house.child.kill('SIGKILL');
  await house.ended;
  await expect(sent.getByRole('listitem').first()).toContainText('The print house does not answer');
  const again = await startHouse(String(HOUSE_PORT));
  await hand(again.address, 'mend');
  await expect(sent.getByRole('listitem').first()).toContainText('Printed');
  await sent.close();

  await orders.getByRole('radio', { name: 'As it came' }).click();
  const came = page.getByRole('img', { name: /^From the print house on cotton lawn/ });
  await expect(came).toBeVisible();
  await expect.poll(() => came.evaluate((image: HTMLImageElement) => image.naturalWidth)).toBe(1181);

  await orders.getByRole('textbox', { name: 'Length of cloth' }).fill('900 m');
  await orders.getByRole('button', { name: 'Order this length' }).click();
  await expect(orders).toContainText('of 900000 mm');
  await orders.getByRole('button', { name: 'Call it off' }).click();
  await expect(orders).toContainText('Stopped');
  const kept = JSON.parse(readFileSync(join(FOLDER, 'house', 'table.json'), 'utf8')) as {
    readonly orders: readonly { readonly state: string; readonly length: number }[];
  };
  expect(kept.orders.filter(({ length }) => length === 2000)).toHaveLength(1);
  await expect
    .poll(() => readFileSync(join(FOLDER, 'house', 'table.json'), 'utf8'))
    .toContain('"state":"called-off"');
  again.child.kill('SIGKILL');
  await again.ended;
});
