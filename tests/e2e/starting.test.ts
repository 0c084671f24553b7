import { spawn } from 'node:child_process';
import { chmodSync, cpSync, existsSync, mkdirSync, mkdtempSync, symlinkSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { dirname, join, resolve } from 'node:path';
import { expect } from '@playwright/test';
import { PORT } from '../../playwright.config.ts';
import { test } from './test.ts';

const ROOT = resolve(import.meta.dirname, '../..');

/** A folder that nobody can write into, not even the one who may everything. */
const UNWRITABLE = '/proc';

interface Start {
  /** The folder of the checkout. */
  readonly in?: string;
  readonly env?: Readonly<Record<string, string>>;
  /** Arguments of Node before the script's name. */
  readonly node?: readonly string[];
  readonly script?: string;
}

/** Starts Vetro with nothing of this machine's surroundings but where Node is, as a container does. */
function start({ in: folder = ROOT, env = {}, node = [], script = 'serve-built' }: Start) {
  const child = spawn(process.execPath, [...node, `scripts/${script}.mjs`], {
    cwd: folder,
    env: { PATH: `${dirname(process.execPath)}:/usr/bin:/bin`, ...env },
  });
  let text = '';
  const hear = (piece: Buffer) => {
    text += String(piece);
  };
  child.stdout.on('data', hear);
  child.stderr.on('data', hear);
  const ended = new Promise<number | null>((done) => child.once('close', done));
  return { child, ended, said: () => text };
}

/** What it says where it cannot start: one sentence, no trace. */
async function refusal(of: Start): Promise<string> {
  const started = start(of);
  expect(await started.ended).toBeGreaterThan(0);
  const said = started.said();
  expect(said).not.toMatch(/\n\s+at |node:internal|Error:/);
  return said.trim();
}

/** Starts it, saves nothing, asks for the shelf and ends it. */
async function shelfOf(of: Start): Promise<void> {
  const started = start(of);
  await expect.poll(started.said).toContain('Vetro is ready: ');
  const address = /Vetro is ready: (\S+)/.exec(started.said())![1]!;
  const page = await fetch(address);
  expect(page.status).toBe(200);
  expect(await page.text()).toContain('<title>');
  started.child.kill('SIGTERM');
  expect(await started.ended).toBe(0);
}

function newFolder(name: string): string {
  const folder = join(mkdtempSync(join(tmpdir(), 'vetro-start-')), name);
  mkdirSync(folder);
  return folder;
}

test('it starts without a home, with one that is read-only, and in a path with spaces and umlauts', async () => {
  const data = join(newFolder('Größe & Weite'), 'Mein Vetro.db');
  await shelfOf({ env: { VETRO_DATA: data, PORT: String(PORT + 1) } });
  expect(existsSync(data)).toBe(true);
  await shelfOf({ env: { VETRO_DATA: data, PORT: String(PORT + 1), HOME: UNWRITABLE } });

  const checkout = newFolder('Kühle Müller 100%');
  for (const part of ['scripts', 'dist', 'bin', 'package.json']) {
    cpSync(join(ROOT, part), join(checkout, part), { recursive: true });
  }
  symlinkSync(join(ROOT, 'node_modules'), join(checkout, 'node_modules'));
  // Without a name for it, the database lies in the checkout.
  await shelfOf({ in: checkout, env: { PORT: String(PORT + 1) } });
  expect(existsSync(join(checkout, 'data', 'vetro.db'))).toBe(true);
});

test('a port in use, a folder that cannot be written and a Node that is too old are told in a sentence', async () => {
  const data = join(newFolder('data'), 'vetro.db');
  const other = createServer().listen(PORT + 1, '127.0.0.1');
  await new Promise((listening) => other.once('listening', listening));
  expect(await refusal({ env: { VETRO_DATA: data, PORT: String(PORT + 1) } })).toBe(
    `Port ${PORT + 1} on 127.0.0.1 cannot be used. Name another with PORT, or none to take a free one.`,
  );
  other.close();
  for (const wrong of ['abc', '70000', '0', '-1']) {
    expect(await refusal({ env: { VETRO_DATA: data, PORT: wrong } })).toBe(
      `PORT is “${wrong}”; a port is a whole number from 1 to 65535. Leave it out to take a free one.`,
    );
  }
  const file = join(dirname(data), 'a file');
  writeFileSync(file, '');
  for (const place of [join(UNWRITABLE, 'vetro.db'), join(file, 'vetro.db'), dirname(data)]) {
    expect(await refusal({ env: { VETRO_DATA: place, PORT: String(PORT + 1) } })).toContain(`“${place}”`);
  }
  const old = `data:text/javascript,${encodeURIComponent(
    "Object.defineProperty(process, 'versions', { value: { ...process.versions, node: '18.20.4' } })",
  )}`;
  for (const script of ['start', 'demo', 'serve-built']) {
    expect(await refusal({ node: ['--import', old], script, env: { VETRO_DATA: data } })).toBe(
      'Vetro needs Node 20 or later; this is Node 18.20.4. Install a newer one.',
    );
  }
});

test('what the database is compiled with is named where it is missing', async () => {
  const checkout = newFolder('checkout');
  cpSync(join(ROOT, 'scripts'), join(checkout, 'scripts'), { recursive: true });
  // A machine that has a shell and a package manager, but no compiler.
  const programs = newFolder('bin');
  symlinkSync('/bin/sh', join(programs, 'sh'));
  writeFileSync(join(programs, 'npm'), '#!/bin/sh\nexit 1\n');
  chmodSync(join(programs, 'npm'), 0o755);
  for (const script of ['start', 'demo']) {
    expect(await refusal({ in: checkout, script, env: { PATH: programs } })).toContain(
      'It is compiled with Python 3 and make and a C++ compiler, which this machine lacks: install that, then start again.',
    );
  }
});
