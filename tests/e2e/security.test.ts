import { readdirSync, readFileSync } from 'node:fs';
import { Agent, get } from 'node:http';
import { connect } from 'node:net';
import { join, resolve } from 'node:path';
import { chromium, expect } from '@playwright/test';
import config from '../../playwright.config.ts';
import { clothShown, openFromShelf, step, WRITER } from './helpers.ts';
import { ownDatabase, startOwn } from './own-server.ts';
import { test, testAlone } from './test.ts';

testAlone('no page breaks its own policy, and every answer carries the headers', async ({ page }) => {
  const broken: string[] = [];
  await page.exposeFunction('tellBroken', (text: string) => broken.push(text));
  await page.addInitScript(() => {
    document.addEventListener('securitypolicyviolation', ({ violatedDirective, blockedURI }) => {
      void (window as unknown as { tellBroken: (text: string) => void }).tellBroken(
        `${violatedDirective} ${blockedURI}`,
      );
    });
  });
  const bare: string[] = [];
  page.on('response', (response) => {
    const headers = response.headers();
    const url = new URL(response.url());
    if (url.protocol === 'http:' && headers['x-content-type-options'] !== 'nosniff') bare.push(url.pathname);
    if (url.protocol === 'http:' && !headers['content-security-policy']?.includes('frame-ancestors')) {
      bare.push(url.pathname);
    }
  });
  page.on('console', (message) => {
    if (/Content Security Policy/.test(message.text())) broken.push(message.text());
  });
  await openFromShelf(page, 'Third-class moquette');
  for (const name of ['Colours', 'Lay', 'Check', 'Try on', 'Send', 'Build']) await step(page, name);
  await page.getByRole('button', { name: 'View' }).click();
  await page.keyboard.press('Escape');
  await page.keyboard.press('?');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Rework…' }).click();
  await page.keyboard.press('Escape');
  await page.goto('/');
  await page.getByRole('button', { name: 'New design' }).click();
  await page.keyboard.press('Escape');
  await page.goto('/enter');
  await page.goto('/no/such/page');
  expect(broken).toEqual([]);
  expect(bare).toEqual([]);
});

/** Every address that the application answers. What comes to it is put here on purpose. */
const ROUTES: readonly string[] = [
  ...['/', '/backups', '/bench/[id]', '/enter', '/sent', '/404', '/500'],
  ...['/api/bin', '/api/bin/[id]', '/api/bin/[id]/swatch.png'],
  ...['/api/designs', '/api/designs/[id]', '/api/designs/[id]/copy', '/api/designs/[id]/favourite'],
  ...['/api/designs/[id]/files/[file]', '/api/designs/[id]/move', '/api/designs/[id]/rename'],
  ...['/api/designs/[id]/restore', '/api/designs/[id]/revisions', '/api/designs/[id]/revisions/[revision]'],
  '/api/designs/[id]/revisions/[revision]/swatch.png',
  ...['/api/archive', '/api/backups', '/api/backups/second', '/api/backups/[name]/open'],
  ...['/api/opened/[id]', '/api/opened/[id]/take', '/api/opened/[id]/designs/[design]/swatch.png'],
  ...['/api/jobs', '/api/jobs/[id]', '/api/jobs/[id]/again', '/api/jobs/[id]/file', '/api/jobs/[id]/stop'],
  ...['/api/loom/[id]', '/api/print-house', '/api/shelf', '/api/[...rest]'],
  ...['/api/pictures', '/api/pictures/kept', '/api/pictures/kept/[hash]', '/api/pictures/kept/[hash]/pixels'],
];

/** What the framework would answer by itself, and the gate does not let it. */
const SHUT: readonly string[] = ['/_image', '/_server-islands/[name]'];

test('the application answers at the addresses of one list, and the framework at none of its own', async ({
  request,
}) => {
  const folder = resolve(import.meta.dirname, '../../dist/server');
  const manifest = readdirSync(folder).find((name) => /^manifest_.*\.mjs$/.test(name))!;
  const built = readFileSync(join(folder, manifest), 'utf8').matchAll(/"route":"([^"]*)"/g);
  expect([...new Set([...built].map(([, route]) => route))].sort()).toEqual([...ROUTES, ...SHUT].sort());
  for (const path of [
    '/_image?href=/mark.svg&w=4000&f=png',
    '/_server-islands/a',
    '/_actions/a',
    '/_astro/none.js',
  ])
    expect((await request.get(path)).status(), path).toBe(404);
  const unknown = await request.get('/api/no/such/thing');
  expect(unknown.status()).toBe(404);
  expect(unknown.headers()['content-type']).toBe('application/problem+json');
});

/** Sends a request as it stands and hears all of the answer. */
function raw(port: number, words: string): Promise<string> {
  return new Promise((heard, failed) => {
    const socket = connect(port, '127.0.0.1');
    let answer = '';
    socket.on('data', (data) => {
      answer += String(data);
    });
    socket.on('end', () => heard(answer));
    socket.on('error', failed);
    socket.end(words);
  });
}

test('what is no request is answered in words', async ({ baseURL }) => {
  const answer = await raw(Number(new URL(baseURL!).port), 'GET / HTTP/9.9\r\n\r\n');
  expect(answer).toMatch(/^HTTP\/1\.1 400 /);
  expect(answer).toContain('That was no request that can be read.');
});

test('a page is asked for anew: Back shows what is stored', async ({ page }) => {
  const response = await page.goto('/');
  expect(response!.headers()['cache-control']).toBe('no-store');
});

test('a page of a foreign name that was pointed here reads nothing', async () => {
  const port = new URL(config.use!.baseURL!).port;
  const browser = await chromium.launch({
    ...config.use!.launchOptions,
    args: [...config.use!.launchOptions!.args!, '--host-resolver-rules=MAP rebound.example 127.0.0.1'],
  });
  const page = await browser.newPage();
  const answer = await page.goto(`http://rebound.example:${port}/api/shelf`);
  expect(answer!.status()).toBe(421);
  expect(await answer!.text()).not.toContain('Larkmere');
  await browser.close();
});

test('files of no such kind are told as missing, whatever they are called', async ({ page }) => {
  const shelf = (await (await page.request.get('/api/shelf')).json()) as {
    ranges: { designs: { id: string }[] }[];
  };
  const { id } = shelf.ranges[0]!.designs[0]!;
  for (const name of ['constructor', 'toString', '__proto__', 'valueOf', 'tile.gif']) {
    expect((await page.request.get(`/api/designs/${id}/files/${name}`)).status()).toBe(404);
  }
});

/** Ways to ask for the shelf that a list of open addresses might take for something else. */
const SPELLINGS: readonly string[] = [
  ...[
    '/_astro/..',
    '/_astro/../',
    '/_astro/../api/shelf',
    '/mark.svg/..',
    '/enter/..',
    '/enter/../api/shelf',
  ],
  ...[
    '/_astro/%2e%2e',
    '/_astro/.%2e/',
    '/_astro%2f..',
    '/_astro/..%2fapi/shelf',
    '/_astro\\..',
    '//',
    '/.',
    '/./',
  ],
  ...[
    '/%2e',
    '/api//shelf',
    '/API/shelf',
    '/api/shelf/',
    '/api/shelf;/mark.svg',
    '/api/shelf?/mark.svg',
    '/%61pi/shelf',
  ],
  ...[
    'http://127.0.0.1/',
    'http://127.0.0.1/_astro/..',
    '/_astro/..?/mark.svg',
    '/mark.svg%00/..',
    '/',
    '/sent',
    '/bench/a',
  ],
];

test('beyond this machine Vetro starts only with a passphrase, and asks for it', async ({ page }) => {
  test.slow();
  const data = ownDatabase();
  const env = { HOST: '0.0.0.0' };
  await expect(startOwn(data, env)).rejects.toThrow('npx vetro passphrase');
  const { execFileSync } = await import('node:child_process');
  const passphrase = 'nine needles and a thread';
  execFileSync('node', ['bin/vetro.mjs', 'passphrase'], {
    input: `${passphrase}\n`,
    env: { ...process.env, VETRO_DATA: data },
  });
  const server = await startOwn(data, env);
  try {
    expect((await page.request.get(`${server.address}/api/shelf`)).status()).toBe(401);
    const { port } = new URL(server.address);
    for (const path of SPELLINGS) {
      for (const version of ['1.1', '1.0']) {
        const host = `Host: 127.0.0.1:${port}\r\nConnection: close\r\n`;
        const answer = await raw(Number(port), `GET ${path} HTTP/${version}\r\n${host}\r\n`);
        expect(answer, path).toMatch(/^HTTP\/1\.1 (303|401|400|404) /);
        expect(answer, path).not.toContain('shelf');
      }
    }
    await page.goto(`${server.address}/`);
    await expect(page).toHaveURL(/\/enter$/);
    await page.getByLabel('Passphrase').fill('something else entirely');
    await page.getByRole('button', { name: 'Enter' }).click();
    await expect(page.getByRole('alert')).toHaveText('That is not the passphrase.');
    await page.getByLabel('Passphrase').fill(passphrase);
    await page.getByRole('button', { name: 'Enter' }).click();
    await expect(page.getByRole('heading', { name: 'The shelf is empty' })).toBeVisible();
    const [cookie] = await page.context().cookies(server.address);
    expect(cookie).toMatchObject({ httpOnly: true, sameSite: 'Strict' });
  } finally {
    await server.kill();
  }
});

test('an upload that breaks off, and methods that nobody knows, leave no trace in the log', async () => {
  const server = await startOwn(ownDatabase());
  const { hostname, port } = new URL(server.address);
  for (const path of ['/api/pictures', '/api/designs']) {
    const socket = connect(Number(port), hostname);
    const type = path.endsWith('pictures') ? 'application/octet-stream' : 'application/json';
    // The server says that it goes on when it begins to read the body, which then breaks off.
    const goesOn = new Promise<string>((heard) => socket.once('data', (data) => heard(String(data))));
    socket.write(
      `POST ${path} HTTP/1.1\r\nHost: ${hostname}:${port}\r\nx-vetro: test\r\nexpect: 100-continue\r\ncontent-type: ${type}\r\ncontent-length: 100000\r\n\r\n`,
    );
    expect(await goesOn).toMatch(/^HTTP\/1\.1 100/);
    await new Promise<void>((sent) => socket.write('{"a":', () => sent()));
    socket.destroy();
  }
  const trace = connect(Number(port), hostname);
  trace.write(`TRACE / HTTP/1.1\r\nHost: ${hostname}:${port}\r\n\r\n`);
  const answer = await new Promise<string>((heard) => trace.once('data', (data) => heard(String(data))));
  expect(answer).toMatch(/^HTTP\/1\.1 405/);
  trace.destroy();
  for (let time = 0; time < 3; time += 1)
    expect((await fetch(`${server.address}/api/shelf`)).status).toBe(200);
  await server.kill();
  expect(server.said()).not.toMatch(/\n\s+at /);
});

test('a request that writes names its page, or says that it is a program', async ({ page }) => {
  await openFromShelf(page, 'Scullery glass cloth');
  await clothShown(page);
  const id = new URL(page.url()).pathname.split('/').pop()!;
  const rename = (headers: Record<string, string>) =>
    page.request.post(`/api/designs/${id}/rename`, { data: { name: 'Renamed' }, headers });
  expect((await rename({})).status()).toBe(403);
  expect((await rename({ origin: 'http://evil.example', ...WRITER })).status()).toBe(403);
  await page.goto('/');
  await expect(page.getByRole('link', { name: 'Scullery glass cloth' })).toBeVisible();
});

test('a connection that has rested is taken again, not ended under its client', async () => {
  const agent = new Agent({ keepAlive: true, maxSockets: 1 });
  const ask = () =>
    new Promise<{ reused: boolean; rest: string | undefined }>((resolve, reject) => {
      const request = get(new URL('/api/shelf', config.use!.baseURL), { agent }, (answer) => {
        answer.resume();
        const rest = answer.headers['keep-alive'];
        answer.on('end', () => resolve({ reused: request.reusedSocket, rest: String(rest) }));
      });
      request.on('error', reject);
    });
  const first = await ask();
  expect(first.reused).toBe(false);
  // What the server promises is what it keeps: seconds, longer than clients keep a connection for another request.
  expect(Number(/^timeout=(\d+)$/.exec(first.rest!)![1])).toBeGreaterThanOrEqual(60);
  expect((await ask()).reused).toBe(true);
  agent.destroy();
});
