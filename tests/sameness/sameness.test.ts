import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { allDesigns } from './designs.ts';
import { type Digests, digestsOf } from './digest.ts';

const FILE = join(import.meta.dirname, 'digests.json');
const KNOWN = JSON.parse(readFileSync(FILE, 'utf8')) as Readonly<Record<string, Digests>>;

/** `npm run digests` writes what is now, for changes that are meant; the commit says which and why. */
const WRITES = process.env['VETRO_DIGESTS'] === 'write';

const found: Record<string, Digests> = {};

describe('what people see and files hold stays the same', () => {
  const designs = allDesigns();

  it('of every start point and every demo design', () => {
    expect(designs.length).toBeGreaterThan(80);
    if (!WRITES) expect(Object.keys(KNOWN).sort()).toEqual(designs.map(([name]) => name).sort());
  });

  it.each(designs)('%s', async (name, design) => {
    found[name] = await digestsOf(design);
    if (!WRITES) expect(found[name]).toEqual(KNOWN[name]);
  });
});

afterAll(() => {
  if (WRITES) writeFileSync(FILE, `${JSON.stringify(found, null, 1)}\n`);
});
