import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { PNG } from 'pngjs';
import sharp from 'sharp';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { PrintAnswer, PrintOrder } from '../../contracts/print-house.ts';
import { lightOfHex, printedLight } from '../../core/print/printed-colour.ts';
import { substrateOf } from '../../core/print/substrate.ts';
import { WRITER_HEADER } from '../gate/refusals.ts';
import { orderPrint } from './order-print.ts';
import { strikeOffOf } from './print-file.ts';
import { type PrintHouse, startPrintHouse } from './print-house.ts';

const SHADE = '#b28132';

/** What a program sends that writes. */
const WRITER = { [WRITER_HEADER]: 'test' };

let folder: string;
let house: PrintHouse;
let file: Uint8Array<ArrayBuffer>;

const ORDER: PrintOrder = {
  name: 'One shade',
  kind: 'strike-off',
  substrate: 'cotton-canvas',
  length: 500,
  dpi: 150,
  width: 60,
  height: 40,
  repeats: true,
};

beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'vetro-house-'));
  house = await startPrintHouse({ port: 0, folder, speed: 2000 });
  file = Uint8Array.from(
    await sharp({ create: { width: 60, height: 40, channels: 3, background: SHADE } })
      .png()
      .toBuffer(),
  );
});
afterEach(async () => {
  await house.close();
  rmSync(folder, { recursive: true });
});

const address = () => `http://127.0.0.1:${house.port}`;

function print(order: PrintOrder = ORDER, told?: (answer: PrintAnswer) => void, mark = 'a') {
  return orderPrint({ order, file, mark }, { address: address(), pause: 20, patience: 10_000 }, told);
}

/** What a hand does at the table; asked again where the line is lost. */
async function hand(what: string): Promise<void> {
  const body = JSON.stringify({ do: what });
  for (let answered = false; !answered; ) {
    answered = await fetch(`${address()}/hand`, { method: 'POST', body, headers: WRITER }).then(
      () => true,
      () => false,
    );
    await new Promise((resolve) => setTimeout(resolve, 20));
  }
}

describe('a print house', () => {
  it('returns a strike-off whose colour is that of the inks on the cloth', async () => {
    const states = new Set<string>();
    const picture = PNG.sync.read(Buffer.from((await print(ORDER, ({ state }) => states.add(state)))!));
    expect(picture.width).toBe(Math.round((200 / 25.4) * 150));
    expect([...states]).toEqual(expect.arrayContaining(['taken', 'printing', 'done']));
    const canvas = substrateOf('cotton-canvas');
    const printed = printedLight(lightOfHex(SHADE), canvas, lightOfHex(canvas.hex));
    const { channels } = await sharp(picture.data, {
      raw: { width: picture.width, height: picture.height, channels: 4 },
    })
      .gamma(1)
      .stats();
    // The mean of bytes lies near the byte of the mean light, as the threads change it little.
    const byteOf = (light: number) => 255 * (1.055 * light ** (1 / 2.4) - 0.055);
    for (const part of [0, 1, 2])
      expect(Math.abs(channels[part]!.mean - byteOf(printed[part]!))).toBeLessThan(3);
  });

  it('goes on after a jam, a lost line and a restart, and prints once', async () => {
    const seen: PrintAnswer[] = [];
    let broken = 0;
    const going = print({ ...ORDER, length: 4000 }, (answer) => {
      seen.push(answer);
      if (answer.state !== 'printing') return;
      if (broken === 0) void hand('jam');
      if (broken === 0 || (broken === 1 && answer.trouble === 'jam')) broken += 1;
    });
    await expect.poll(() => seen.at(-1)?.trouble, { timeout: 5000 }).toBe('jam');
    await hand('line');
    const { port } = house;
    await house.close();
    house = await startPrintHouse({ port, folder, speed: 2000 });
    await hand('mend');
    expect(await going).toBeDefined();
    const printed = seen.map((answer) => answer.printed);
    expect(printed).toEqual([...printed].sort((a, b) => a - b));
    expect(printed.at(-1)).toBe(4000);
    // The same order again is done already; with another mark it is another.
    const again: string[] = [];
    await print({ ...ORDER, length: 4000 }, ({ state }) => again.push(state));
    expect(again).toEqual(['done']);
    const other: string[] = [];
    await print(ORDER, ({ state }) => other.push(state), 'b');
    expect(other[0]).toBe('taken');
  });

  it.each<[string, Partial<PrintOrder>]>([
    ['resolution', { dpi: 72 }],
    ['substrate', { substrate: 'oilcloth' }],
    ['width', { width: 9000 }],
    ['repeat', { repeats: false }],
    ['file', { width: 61 }],
  ])('refuses for its %s: %j', async (refusal, change) => {
    await expect(print({ ...ORDER, ...change })).rejects.toMatchObject({
      code: 'print/refused',
      facts: { refusal },
    });
  });

  it('refuses colours that its inks do not reach', async () => {
    file = Uint8Array.from(
      await sharp({ create: { width: 60, height: 40, channels: 3, background: '#0000ff' } })
        .png()
        .toBuffer(),
    );
    await expect(print()).rejects.toMatchObject({ facts: { refusal: 'colours' } });
  });

  it('stops what is called off where it is, and prints no more of it', async () => {
    const stop = new AbortController();
    const seen: PrintAnswer[] = [];
    const going = orderPrint(
      { order: { ...ORDER, length: 100_000 }, file, mark: 'off' },
      { address: address(), pause: 20, patience: 10_000, signal: stop.signal },
      (answer) => {
        seen.push(answer);
        if (answer.state === 'printing') stop.abort(new Error('stopped'));
      },
    );
    await expect(going).rejects.toThrow('stopped');
    const off = async () =>
      (await fetch(`${address()}/orders/${seen[0]!.key}`)).json() as Promise<PrintAnswer>;
    const { printed, state } = await off();
    expect(state).toBe('called-off');
    expect(printed).toBeGreaterThan(0);
    // Whatever is printed after it is not it.
    await print(ORDER, undefined, 'next');
    expect((await off()).printed).toBe(printed);
    // Whoever still follows it hears of that.
    await expect(print({ ...ORDER, length: 100_000 }, undefined, 'off')).rejects.toMatchObject({
      code: 'print/called-off',
    });
  });

  it('tells that it does not answer, and is asked again', async () => {
    let lost = 0;
    const { port } = house;
    await house.close();
    const going = orderPrint(
      { order: ORDER, file, mark: 'later' },
      {
        address: `http://127.0.0.1:${port}`,
        pause: 20,
        patience: 10_000,
        lost: () => {
          lost += 1;
        },
      },
    );
    await expect.poll(() => lost).toBeGreaterThan(1);
    house = await startPrintHouse({ port, folder, speed: 2000 });
    expect(await going).toBeDefined();
  });

  it('is given up when it never answers', async () => {
    const wrong = { address: 'http://127.0.0.1:9', pause: 5, patience: 50 };
    await expect(orderPrint({ order: ORDER, file, mark: '' }, wrong)).rejects.toMatchObject({
      code: 'print/no-answer',
    });
  });

  it('says in words that it takes no such order', async () => {
    await expect(print({ ...ORDER, length: 0.5 })).rejects.toMatchObject({ code: 'print/not-taken' });
  });

  it('hears no page of another site, and no name that was pointed here', async () => {
    const body = JSON.stringify({ do: 'jam' });
    const asked = (headers: Record<string, string>) =>
      fetch(`${address()}/hand`, { method: 'POST', body, headers });
    expect((await asked({ origin: 'https://elsewhere.example' })).status).toBe(403);
    expect((await asked({})).status).toBe(403);
    expect((await asked(WRITER)).status).toBe(200);
  });

  it('takes no file that is too large, in words', async () => {
    const { port } = house;
    const heavy = await fetch(`${address()}/orders/heavy-order-1`, {
      method: 'PUT',
      headers: WRITER,
      body: 'x'.repeat(30_000),
    });
    expect([port, heavy.status]).toEqual([port, 413]);
  });

  it('goes on from the table before where the last one is damaged, and says so where both are', async () => {
    await print();
    await house.close();
    const table = join(folder, 'table.json');
    const whole = readFileSync(table, 'utf8');
    writeFileSync(table, whole.slice(0, whole.length / 2));
    house = await startPrintHouse({ port: 0, folder, speed: 2000 });
    // The order is known, and done but for what the last step of the table says.
    const states: string[] = [];
    await print(ORDER, ({ state }) => states.push(state));
    expect(states).not.toContain('taken');
    await house.close();
    for (const name of ['table.json', 'table.json.before']) writeFileSync(join(folder, name), '{"orders":3}');
    await expect(startPrintHouse({ port: 0, folder, speed: 2000 })).rejects.toMatchObject({
      code: 'print/table',
    });
    rmSync(table);
    rmSync(`${table}.before`);
    house = await startPrintHouse({ port: 0, folder, speed: 2000 });
  });

  it.each([
    ['GET', '/orders/unknown-key', 404],
    ['PUT', '/orders/some-key-1', 400],
    ['GET', '/orders/x', 404],
    ['DELETE', '/orders/some-key-1', 404],
    ['POST', '/orders/some-key-1', 405],
    ['POST', '/hand', 400],
  ])('answers %s %s with %i', async (method, path, status) => {
    const answer = await fetch(address() + path, {
      method,
      headers: WRITER,
      ...(method !== 'GET' && { body: '{"a":1}' }),
    });
    expect(answer.status).toBe(status);
  });
});

describe('a strike-off', () => {
  it('of a file finer than the print is as large as the file says, repeat by repeat', async () => {
    // 41 pixels at 300 dpi are 20.5 of the print: 57.6 repeats in 1181, where 21 each would be 56.2.
    const png = new PNG({ width: 41, height: 41 });
    for (let at = 0; at < 41 * 41; at += 1) png.data.fill(at % 41 < 20 ? 0 : 255, at * 4, at * 4 + 3);
    for (let at = 0; at < 41 * 41; at += 1) png.data[at * 4 + 3] = 255;
    const order = { ...ORDER, dpi: 300, width: 41, height: 41 };
    const { width, data } = PNG.sync.read(await strikeOffOf(order, PNG.sync.write(png)));
    expect(width).toBe(1181);
    const isLight = (x: number) => data[x * 4]! > 128;
    const begins = Array.from({ length: width - 1 }, (_, x) => x).filter(
      (x) => !isLight(x) && isLight(x + 1),
    );
    const spread = (begins.at(-1)! - begins[0]!) / (begins.length - 1);
    expect(Math.abs(spread - 20.5)).toBeLessThan(0.05);
  });
});
