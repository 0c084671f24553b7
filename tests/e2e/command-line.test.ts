import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { expect } from '@playwright/test';
import { PNG } from 'pngjs';
import { test } from './test.ts';

const VETRO = resolve(import.meta.dirname, '../../bin/vetro.mjs');
const FOLDER = mkdtempSync(join(tmpdir(), 'vetro-cli-'));
const SHADES = 'A=#20304a,B=#c8a24a,C=#f4efe2';

/** The built command. What all commands say and make is tried in `src/cli/command-line.test.ts`. */
function vetro(...args: readonly string[]): { status: number | null; out: string; err: string } {
  const { status, stdout, stderr } = spawnSync('node', [VETRO, ...args], { cwd: FOLDER, encoding: 'utf8' });
  return { status, out: stdout, err: stderr };
}

function read(name: string): Buffer {
  return readFileSync(join(FOLDER, name));
}

test('new, check and render make a batch', () => {
  const made = vetro('new', 'plaid', '--warp', 'A/12 B6 C/4', '--shades', SHADES, '-o', 'design.json');
  expect(made).toEqual({ status: 0, out: '', err: '' });
  const { status, out } = vetro('check', 'design.json', '--json');
  expect(status).toBe(0);
  expect(JSON.parse(out)).toMatchObject({
    verdict: 'Exact',
    repeat: { ends: 28, picks: 28, width: '889/30', height: '889/30', unit: 'mm' },
    pixels: { dpi: '300', width: 350, height: 350 },
    painted: { differingBytes: 0 },
  });
  expect(vetro('render', 'design.json', '-o', 'tile.png', '--per-thread', '4').status).toBe(0);
  expect(PNG.sync.read(read('tile.png'))).toMatchObject({ width: 112, height: 112 });
  expect(vetro('render', 'design.json', '-o', 'tile.svg').status).toBe(0);
  expect(read('tile.svg').toString()).toContain('viewBox="0 0 28 28"');
  expect(vetro('render', 'design.json', '-o', 'sheet.png', '--dpi', '150', '--size', '12inx6in').status).toBe(
    0,
  );
  expect(PNG.sync.read(read('sheet.png'))).toMatchObject({ width: 1800, height: 900 });
});

test('pictures, pages, a pack, a strike-off and a collection sheet are written', () => {
  vetro('new', 'plaid', '--warp', 'A8 B4', '-o', 'sent.json');
  vetro('new', 'tiling', '--config', '4.8.8', '--side', '20mm', '-o', 'sent-floor.json');
  for (const [args, starts] of [
    [
      ['render', 'sent.json', '-o', 's.jpg', '--size', '4in', '--quality', '70', '--chroma', 'half'],
      'ffd8ffe0',
    ],
    [['render', 'sent.json', '-o', 's.tiff', '--compression', 'deflate', '--no-profile'], '49492a00'],
    [['render', 'sent.json', '-o', 's.webp', '--quality', '100'], '52494646'],
    [['render', 'sent-floor.json', '-o', 's.pdf', '--paper', 'A3', '--bleed', '3mm', '--marks'], '25504446'],
    [['render', 'sent-floor.json', '-o', 's.png', '--shrink', '4%,2%'], '89504e47'],
    [['pack', 'sent.json', '-o', 's.zip', '--size', '100mm', '--words', 'For the hall.'], '504b0304'],
    [['collect', 'sent.json', 'sent-floor.json', '-o', 'halls.pdf', '--scale', '30%'], '25504446'],
  ] as const) {
    const { status, err } = vetro(...args);
    expect({ args, status, err }).toEqual({ args, status: 0, err: '' });
    expect(
      read(args[args.indexOf('-o') + 1]!)
        .subarray(0, 4)
        .toString('hex'),
    ).toBe(starts);
  }
  const proof = vetro('strike-off', 'sent.json', '-o', 'proof.png', '--substrate', 'linen', '--size', '50mm');
  expect(proof.status).toBe(0);
  expect(proof.out.trim().split('\n')).toHaveLength(2);
  expect(proof.out).toMatch(/#[0-9a-f]{6} {2}#[0-9a-f]{6} {2}ΔE \d+\.\d/);
  expect(PNG.sync.read(read('proof.png'))).toMatchObject({ width: 394, height: 394 });
});

test('a mistake is one clear line and exit 2', () => {
  const { status, out, err } = vetro('check', 'nowhere.json');
  expect({ status, out }).toEqual({ status: 2, out: '' });
  expect(err).toContain('There is no file “nowhere.json”.');
  expect(err.trim().split('\n')).toHaveLength(1);
});

test('a database file that is none stops the start with a sentence and is left alone', () => {
  const file = join(FOLDER, 'notes.db');
  const text = 'not a database\n'.repeat(300);
  writeFileSync(file, text);
  const { status, stderr } = spawnSync('node', ['scripts/start.mjs'], {
    cwd: resolve(import.meta.dirname, '../..'),
    env: { ...process.env, VETRO_DATA: file, PORT: '4392' },
    encoding: 'utf8',
    timeout: 60_000,
  });
  expect(status).toBe(2);
  expect(stderr).toContain('is not a Vetro database. Move it away');
  expect(readFileSync(file, 'utf8')).toBe(text);
});
