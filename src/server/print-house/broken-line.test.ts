import { mkdtempSync, rmSync } from 'node:fs';
import { createServer, type Server, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { PrintAnswer, PrintOrder } from '../../contracts/print-house.ts';
import { ENDING } from '../ending.ts';
import { orderPrint } from './order-print.ts';
import { type PrintHouse, startPrintHouse } from './print-house.ts';

const ORDER: PrintOrder = {
  name: 'One shade',
  kind: 'strike-off',
  substrate: 'linen',
  length: 300,
  dpi: 150,
  width: 60,
  height: 40,
  repeats: true,
};

/** What becomes of an answer on a bad line. */
const BREAKS: Readonly<Record<string, (response: ServerResponse, body: Buffer) => void>> = {
  'after its head': (response, body) => {
    response.writeHead(200, { 'content-length': body.length });
    response.flushHeaders();
    response.destroy();
  },
  'in the middle': (response, body) => {
    response.writeHead(200, { 'content-length': body.length });
    response.write(body.subarray(0, body.length / 2), () => response.destroy());
  },
  'with no JSON': (response) => void response.writeHead(200).end('<html>busy</html>'),
  'with an unknown state': (response, body) =>
    void response
      .writeHead(200)
      .end(body.toString('latin1').replace(/"state":"[a-z-]*"/, '"state":"folded"')),
  'with nothing': (response) => void response.writeHead(200).end(),
  'with a fault of the house': (response) => void response.writeHead(502).end(),
};

let folder: string;
let house: PrintHouse;
let line: Server;
let file: Uint8Array<ArrayBuffer>;
/** How answers break now, by the number of the question; undefined where the line is good. */
let breakOf: (question: number) => string | undefined;
let questions = 0;

beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'vetro-line-'));
  house = await startPrintHouse({ port: 0, folder, speed: 3000 });
  questions = 0;
  breakOf = () => undefined;
  line = createServer((request, response) => {
    void (async () => {
      const pieces: Buffer[] = [];
      for await (const piece of request as AsyncIterable<Buffer>) pieces.push(piece);
      const answer = await fetch(`http://127.0.0.1:${house.port}${request.url}`, {
        method: request.method!,
        headers: { 'x-vetro': 'line' },
        ...(pieces.length > 0 && { body: Buffer.concat(pieces) }),
      });
      const body = Buffer.from(await answer.arrayBuffer());
      questions += 1;
      const how = breakOf(questions);
      if (how !== undefined && answer.ok) BREAKS[how]!(response, body);
      else response.writeHead(answer.status, { 'content-length': body.length }).end(body);
    })();
  });
  await new Promise<void>((listening) => line.listen(0, '127.0.0.1', listening));
  file = Uint8Array.from(
    await sharp({ create: { width: 60, height: 40, channels: 3, background: '#b28132' } })
      .png()
      .toBuffer(),
  );
});
afterEach(async () => {
  line.closeAllConnections();
  line.close();
  await house.close();
  rmSync(folder, { recursive: true });
});

const address = () => `http://127.0.0.1:${(line.address() as AddressInfo).port}`;

function print(told: (answer: PrintAnswer) => void, signal?: AbortSignal, order = ORDER, patience = 20_000) {
  const wish = { address: address(), pause: 5, patience, ...(signal !== undefined && { signal }) };
  return orderPrint({ order, file, mark: 'line' }, wish, told);
}

describe('an order over a bad line', () => {
  it.each(Object.keys(BREAKS))(
    'is printed once and told so where every second answer ends %s',
    async (how) => {
      breakOf = (question) => (question % 2 === 1 ? how : undefined);
      const seen: PrintAnswer[] = [];
      const picture = await print((answer) => seen.push(answer));
      expect(picture!.length).toBeGreaterThan(1000);
      expect((await sharp(picture).metadata()).format).toBe('png');
      expect(new Set(seen.map(({ key }) => key)).size).toBe(1);
      expect(seen.at(-1)).toMatchObject({ state: 'done', printed: 300 });
    },
  );

  it('is given up in words where nothing that can be read ever comes', async () => {
    breakOf = () => 'with no JSON';
    await expect(print(() => {}, undefined, ORDER, 60)).rejects.toMatchObject({ code: 'print/no-answer' });
  });

  it('is called off until the house has answered, and told what was printed', async () => {
    const stop = new AbortController();
    const seen: PrintAnswer[] = [];
    let lost = 0;
    const going = print(
      (answer) => {
        seen.push(answer);
        if (answer.state !== 'printing' || stop.signal.aborted) return;
        // From now on nothing is heard of the house for some questions.
        const until = questions + 6;
        breakOf = (question) => {
          lost += 1;
          return question < until ? 'after its head' : undefined;
        };
        stop.abort(new Error('stopped'));
      },
      stop.signal,
      { ...ORDER, length: 100_000 },
    );
    await expect(going).rejects.toThrow('stopped');
    expect(lost).toBeGreaterThan(3);
    expect(seen.at(-1)).toMatchObject({ state: 'called-off' });
    const known = await fetch(`http://127.0.0.1:${house.port}/orders/${seen[0]!.key}`);
    expect(await known.json()).toMatchObject({ state: 'called-off', printed: seen.at(-1)!.printed });
  });

  it('that was printed before it could be called off is done', async () => {
    const stop = new AbortController();
    const seen: PrintAnswer[] = [];
    const going = print((answer) => {
      seen.push(answer);
      if (answer.state === 'done') stop.abort(new Error('stopped'));
    }, stop.signal);
    expect((await going)!.length).toBeGreaterThan(1000);
  });

  it('is left as it is where the server ends', async () => {
    const stop = new AbortController();
    const seen: PrintAnswer[] = [];
    const going = print(
      (answer) => {
        seen.push(answer);
        if (answer.state === 'printing') stop.abort(ENDING);
      },
      stop.signal,
      { ...ORDER, length: 100_000 },
    );
    await expect(going).rejects.toBe(ENDING);
    const known = await fetch(`http://127.0.0.1:${house.port}/orders/${seen[0]!.key}`);
    expect(await known.json()).toMatchObject({ state: 'printing' });
  });
});
