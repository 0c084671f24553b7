import { createServer, type RequestListener, request, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterEach, describe, expect, it } from 'vitest';
import { makeGate } from './gate.ts';
import { isPassphrase, storedPassphrase } from './passphrase.ts';
import { makeSessions } from './sessions.ts';
import { makeTries } from './tries.ts';

const PASSPHRASE = 'warp and weft and nine needles';
const BEHIND: RequestListener = (_, response) => void response.end('behind the gate');

let server: Server | undefined;

afterEach(() => void server?.close());

async function stand(passphrase: string | undefined): Promise<number> {
  server = createServer(makeGate({ host: '127.0.0.1', passphrase, application: BEHIND }));
  await new Promise<void>((resolve) => server!.listen(0, '127.0.0.1', resolve));
  return (server.address() as AddressInfo).port;
}

interface Ask {
  readonly method?: string;
  readonly path?: string;
  readonly headers?: Record<string, string>;
  readonly body?: string;
}

/** Node's own client, which may name any host. */
function ask(port: number, { method = 'GET', path = '/', headers = {}, body = '' }: Ask = {}) {
  return new Promise<{ status: number; headers: Record<string, unknown>; text: string }>(
    (resolve, reject) => {
      const sent = request({ host: '127.0.0.1', port, method, path, headers, agent: false }, (answer) => {
        let text = '';
        answer.on('data', (piece) => (text += piece));
        answer.on('end', () => resolve({ status: answer.statusCode!, headers: answer.headers, text }));
      });
      sent.on('error', reject);
      sent.end(body);
    },
  );
}

function enter(port: number, passphrase: string) {
  return ask(port, {
    method: 'POST',
    path: '/enter',
    headers: {
      origin: `http://127.0.0.1:${port}`,
      host: `127.0.0.1:${port}`,
      'content-type': 'application/x-www-form-urlencoded',
    },
    body: String(new URLSearchParams({ passphrase })),
  });
}

describe('the gate', () => {
  it('lets in who names this machine, and marks every answer', async () => {
    const port = await stand(undefined);
    const answer = await ask(port);
    expect(answer).toMatchObject({ status: 200, text: 'behind the gate' });
    expect(answer.headers).toMatchObject({
      'x-content-type-options': 'nosniff',
      'x-frame-options': 'DENY',
      'content-security-policy': expect.stringContaining("default-src 'none'"),
    });
  });

  it('keeps out a name that was pointed here, and who writes from elsewhere', async () => {
    const port = await stand(undefined);
    const rebound = await ask(port, { headers: { host: `rebound.example:${port}` } });
    expect(rebound.status).toBe(421);
    expect(JSON.parse(rebound.text)).toMatchObject({ code: 'request/host' });
    expect(rebound.headers).toMatchObject({ 'x-content-type-options': 'nosniff' });
    const deleted = await ask(port, { method: 'DELETE', path: '/api/designs/x' });
    expect(deleted.status).toBe(403);
    expect((await ask(port, { method: 'TRACE' })).status).toBe(405);
  });
});

describe('the passphrase', () => {
  it('is asked for, and lets in for as long as the session lasts', async () => {
    const port = await stand(await storedPassphrase(PASSPHRASE));
    expect((await ask(port, { path: '/api/shelf' })).status).toBe(401);
    const door = await ask(port, { headers: { accept: 'text/html' } });
    expect(door).toMatchObject({ status: 303, headers: { location: '/enter' } });
    expect((await ask(port, { path: '/enter' })).text).toBe('behind the gate');
    expect((await enter(port, 'a wrong passphrase')).headers['location']).toBe('/enter?wrong');
    const let_in = await enter(port, PASSPHRASE);
    expect(let_in.headers['location']).toBe('/');
    const [cookie] = let_in.headers['set-cookie'] as string[];
    expect(cookie).toMatch(/; HttpOnly; SameSite=Strict$/);
    const inside = await ask(port, { path: '/api/shelf', headers: { cookie: cookie!.split(';')[0]! } });
    expect(inside.text).toBe('behind the gate');
    const guessed = await ask(port, { path: '/api/shelf', headers: { cookie: 'vetro-session=guess' } });
    expect(guessed.status).toBe(401);
  });

  it('can be tried wrongly five times a minute', async () => {
    const port = await stand(await storedPassphrase(PASSPHRASE));
    for (let tries = 0; tries < 5; tries += 1) {
      expect((await enter(port, `wrong ${tries}`)).headers['location']).toBe('/enter?wrong');
    }
    expect((await enter(port, PASSPHRASE)).headers['location']).toBe('/enter?wait');
  });

  it('is stored as a salted digest, and too short a one not at all', async () => {
    const [one, two] = [await storedPassphrase(PASSPHRASE), await storedPassphrase(PASSPHRASE)];
    expect(one).not.toBe(two);
    expect(one).not.toContain('needles');
    expect(await isPassphrase(PASSPHRASE, one)).toBe(true);
    expect(await isPassphrase(`${PASSPHRASE} `, one)).toBe(false);
    expect(await isPassphrase(PASSPHRASE, 'plain')).toBe(false);
    await expect(storedPassphrase('short')).rejects.toThrow('passphrase/length');
  });
});

describe('sessions and tries', () => {
  it('end', () => {
    const sessions = makeSessions();
    const cookie = sessions.begin(0).split(';')[0]!;
    expect(sessions.has(`theme=dark; ${cookie}`, 1000)).toBe(true);
    expect(sessions.has(cookie, 12 * 3_600_000 + 1)).toBe(false);
    expect(sessions.has(undefined, 0)).toBe(false);
  });

  it('are counted for each address and for all', () => {
    const tries = makeTries();
    const taken = (address: string, at: number) => tries.begin(address, at);
    expect(Array.from({ length: 6 }, () => taken('a', 0))).toEqual([true, true, true, true, true, false]);
    expect(taken('b', 0)).toBe(true);
    expect(taken('a', 60_001)).toBe(true);
    tries.forgive('a');
    expect(Array.from({ length: 40 }, (_, at) => taken(`c${at}`, 60_002)).filter(Boolean)).toHaveLength(30);
  });
});
