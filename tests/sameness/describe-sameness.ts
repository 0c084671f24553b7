import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import type { ByKind } from '../../src/core/design/constructions.ts';
import { allDesigns } from './designs.ts';
import { type Digests, digestsOf, sampleOf } from './digest.ts';
import { expectWhole } from './expect-whole.ts';

/** `npm run digests` writes what is now, for changes that are meant; the commit says which and why. */
const WRITES = process.env['VETRO_DIGESTS'] === 'write';

/**
 * Tests that what people see and files hold stays the same of every start point and demo design of one construction. Each
 * is compiled, checked and told once for all that is asked of it.
 * @param least  so many designs there are at least
 */
export function describeSameness(kind: keyof ByKind, least: number): void {
  const file = join(import.meta.dirname, 'digests', `${kind}.json`);
  const known = (existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : {}) as Record<string, Digests>;
  const found: Record<string, Digests> = {};
  const designs = allDesigns().filter(([, { construction }]) => construction.kind === kind);

  describe(`what people see and files hold of every ${kind}`, () => {
    it('is known', () => {
      expect(designs.length).toBeGreaterThanOrEqual(least);
      if (!WRITES) expect(Object.keys(known).sort()).toEqual(designs.map(([name]) => name).sort());
    });

    it.each(designs)('stays the same, proven and painted whole: %s', async (name, design) => {
      const sample = sampleOf(design);
      expectWhole(sample);
      found[name] = await digestsOf(sample);
      if (!WRITES) expect(found[name]).toEqual(known[name]);
    });
  });

  afterAll(() => {
    if (WRITES) writeFileSync(file, `${JSON.stringify(found, null, 1)}\n`);
  });
}
