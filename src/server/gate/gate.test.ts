import {
  createServer,
  IncomingMessage,
  type RequestListener,
  request,
  type Server,
  ServerResponse,
} from 'node:http';
import { type AddressInfo, Socket } from 'node:net';
import { afterEach, describe, expect, it } from 'vitest';
import { clientAddress, proxiesOf } from './client-address.ts';
import { makeDevices } from './devices.ts';
import { makeGate, OWN } from './gate.ts';
import { isPassphrase, storedPassphrase } from './passphrase.ts';
import { makeSessions } from './sessions.ts';
import { makeTries } from './tries.ts';

const PASSPHRASE = 'warp and weft and nine needles';
const ASSETS: ReadonlySet<string> = new Set(['bench.3fA9_x-2.js']);
const BEHIND: RequestListener = (_, response) => void response.end('behind the gate');

let server: Server | undefined;

afterEach(() => void server?.close());

async function stand(passphrase: string | undefined, own?: string): Promise<number> {
  server = createServer(
    makeGate({ host: '127.0.0.1', passphrase, own, assets: ASSETS, application: BEHIND }),
  );
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
  it('lets its own process in, and nobody who guesses how', async () => {
    const port = await stand(await storedPassphrase(PASSPHRASE), 'known to itself');
    const asked = (word: string) => ask(port, { path: '/api/shelf', headers: { [OWN]: word } });
    expect((await asked('known to itself')).status).toBe(200);
    for (const word of ['', 'undefined', 'known to itsel', 'Known to itself']) {
      expect((await asked(word)).status, word).toBe(401);
    }
    server!.close();
    // A gate that has none lets nobody in by it.
    const other = await stand(await storedPassphrase(PASSPHRASE));
    expect((await ask(other, { path: '/api/shelf', headers: { [OWN]: 'undefined' } })).status).toBe(401);
  });

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
    const taken = (name: string, at: number) => tries.begin({ name, known: false }, at);
    expect(Array.from({ length: 6 }, () => taken('a', 0))).toEqual([true, true, true, true, true, false]);
    expect(taken('b', 0)).toBe(true);
    expect(taken('a', 60_001)).toBe(true);
    tries.forgive({ name: 'a', known: false });
    expect(Array.from({ length: 40 }, (_, at) => taken(`c${at}`, 60_002)).filter(Boolean)).toHaveLength(30);
    // What strangers have tried shuts nobody out who was in before.
    const known = () => tries.begin({ name: 'loom room', known: true }, 60_003);
    expect([known(), known(), known(), known(), known(), known()].filter(Boolean)).toHaveLength(5);
  });
});

describe('browsers that were let in before', () => {
  it('are known by a mark of this passphrase alone', () => {
    const devices = makeDevices('one');
    const cookie = devices.begin().split(';')[0]!;
    expect(devices.known(`theme=dark; ${cookie}`)).toMatch(/^[\w-]{16}$/);
    expect(makeDevices('two').known(cookie)).toBeUndefined();
    for (const wrong of [undefined, 'vetro-device=', 'vetro-device=a.b', `${cookie.slice(0, -1)}~`])
      expect(devices.known(wrong)).toBeUndefined();
  });
});

describe('the address of who asks', () => {
  const from = (remoteAddress: string, forwarded?: string | string[]) =>
    ({ socket: { remoteAddress }, headers: { 'x-forwarded-for': forwarded } }) as unknown as Parameters<
      typeof clientAddress
    >[0];

  it.each([
    ['10.0.0.9', '1.2.3.4', '', '10.0.0.9'],
    ['10.0.0.9', '1.2.3.4', '10.0.0.9', '1.2.3.4'],
    ['::ffff:10.0.0.9', 'forged, 1.2.3.4, 10.0.0.8', '10.0.0.9, 10.0.0.8', '1.2.3.4'],
    ['10.0.0.9', undefined, '10.0.0.9', '10.0.0.9'],
    ['2001:db8:1:2:3:4:5:6', undefined, '', '2001:db8:1:2'],
    ['2001:db8::6', undefined, '', '2001:db8:0:0'],
  ])('%s, told %s by proxies %j, is %s', (remote, forwarded, proxies, address) => {
    expect(clientAddress(from(remote, forwarded), proxiesOf(proxies))).toBe(address);
  });
});

/** Spellings of a path that somebody may try in order to pass by a rule about another. */
const DISGUISES: readonly ((path: string) => string)[] = [
  (path) => `/_astro/..${path}`,
  (path) => `/_astro/bench.3fA9_x-2.js/../..${path}`,
  (path) => `/mark.svg/..${path}`,
  (path) => `/enter/..${path}`,
  (path) => `/enter/%2e%2e${path}`,
  (path) => `/_astro/.%2E${path}`,
  (path) => `/_astro%2f..${path}`,
  (path) => `/_astro\\..${path}`,
  (path) => `/.${path}`,
  (path) => `/${path}`,
  (path) => `//_astro/..${path}`,
  (path) => `http://127.0.0.1/_astro/..${path}`,
  (path) => `http://127.0.0.1${path}`,
  (path) => `https://mark.svg${path}`,
  (path) => `${path}/`,
  (path) => `${path}?/mark.svg`,
  (path) => `${path}?/_astro/bench.3fA9_x-2.js`,
  (path) => `${path}#/enter`,
  (path) => `${path};/enter`,
  (path) => `${path}%00.svg`,
  (path) => path.toUpperCase(),
  (path) => path.replace(/[a-z]/, (letter) => `%${letter.charCodeAt(0).toString(16)}`),
  (path) => path.replaceAll('/', '//'),
  (path) => path.replaceAll('/', '/./'),
  (path) => path.replaceAll('/', '%2f'),
  (path) => path,
];
const CLOSED: readonly string[] = [
  ...[
    '/',
    '/sent',
    '/bench/a',
    '/api/shelf',
    '/api/designs',
    '/api/designs/a',
    '/api/designs/a/files/tile.png',
  ],
  ...['/api/bin', '/api/jobs', '/api/jobs/a/file', '/api/pictures/kept/a', '/api/print-house', '/api/loom/a'],
  ...['/_image', '/_server-islands/a', '/_actions/a', '/_astro', '/_astro/', '/_astro/other.js', '/404'],
];
const METHODS: readonly string[] = ['GET', 'HEAD', 'OPTIONS', 'POST', 'BREW'];

describe('closed paths', () => {
  it('stay closed without the passphrase, however they are spelt', async () => {
    const reached: string[] = [];
    const gate = makeGate({
      host: '127.0.0.1',
      passphrase: await storedPassphrase(PASSPHRASE),
      assets: ASSETS,
      application: (asked, response) => {
        reached.push(`${asked.method} ${asked.url}`);
        response.end();
      },
    });
    let tried = 0;
    for (const path of CLOSED) {
      for (const disguise of DISGUISES) {
        for (const method of METHODS) {
          for (const headers of [{ host: '127.0.0.1' }, { host: '127.0.0.1', accept: 'text/html' }, {}]) {
            tried += 1;
            gate(...exchange(method, disguise(path), headers));
          }
        }
      }
    }
    await new Promise(setImmediate);
    expect(tried).toBeGreaterThan(5000);
    expect(reached).toEqual([]);
    // The gate is not shut for what is open.
    for (const open of ['/enter', '/enter?wrong', '/mark.svg', '/_astro/bench.3fA9_x-2.js'])
      gate(...exchange('GET', open, { host: '127.0.0.1' }));
    expect(reached).toHaveLength(4);
  });

  it('of the framework are closed to everybody but for the built files', async () => {
    const port = await stand(undefined);
    for (const path of ['/_image?href=x', '/_server-islands/a', '/_astro/other.js', '/_astro/..'])
      expect((await ask(port, { path })).status).toBe(404);
    expect((await ask(port, { path: '/_astro/bench.3fA9_x-2.js' })).text).toBe('behind the gate');
    const page = await ask(port, { path: '/api//shelf', headers: { accept: 'text/html' } });
    expect(page).toMatchObject({
      status: 404,
      text: expect.stringContaining('There is nothing at this address.'),
    });
  });
});

/** A request as the server would hand it on, and an answer that goes nowhere. */
function exchange(
  method: string,
  url: string,
  headers: Record<string, string>,
): [IncomingMessage, ServerResponse] {
  const asked = new IncomingMessage(new Socket());
  Object.assign(asked, { method, url, headers });
  return [asked, new ServerResponse(asked)];
}
