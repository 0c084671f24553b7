import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { picturesOf } from '../../../tests/pictures-of.ts';
import { allDesigns } from '../../../tests/sameness/designs.ts';
import { SOME_OF } from '../../../tests/sample-design.ts';
import { CoreError } from '../error.ts';
import { checkDesign, proveNumbers } from './check-design.ts';
import { compile } from './compile-design.ts';
import { KINDS, kindFor } from './constructions.ts';
import type { Design } from './design-schema.ts';
import { filesOf, writeFile } from './exchange/write-file.ts';
import { readDesignText, writeDesignText } from './read-design.ts';
import { shadesUsed, withShadeReplaced } from './shades-used.ts';

describe.each(Object.keys(KINDS) as (keyof typeof KINDS)[])('any %s', (kind) => {
  const any = SOME_OF[kind];
  const always = (holds: (design: Design) => void, numRuns: number) =>
    fc.assert(fc.property(any, holds), { numRuns });

  it('is read back as it was written', () => {
    always((design) => {
      expect(design.construction.kind).toBe(kind);
      expect(readDesignText(writeDesignText(design))).toEqual(design);
    }, 60);
  });

  it('makes a repeat whose numbers close, or says in a code why it makes none', () => {
    let made = 0;
    always((design) => {
      try {
        const unit = compile(design);
        made += 1;
        expect(proveNumbers(design, unit).closed).toBe(true);
      } catch (error) {
        if (!(error instanceof CoreError)) throw error;
      }
    }, 40);
    expect(made).toBeGreaterThan(30);
  });

  it('is painted without a seam or a hairline, however coarse', () => {
    always((design) => {
      try {
        const { painted } = checkDesign(design, { resolution: '20', pictures: picturesOf(design) });
        expect(painted?.differingBytes ?? 0).toBe(0);
        expect(painted?.leakingPixels ?? 0).toBe(0);
      } catch (error) {
        if (!(error instanceof CoreError)) throw error;
      }
    }, 15);
  });

  it('names only shades of its card, and none of a shade that was replaced', () => {
    always((design) => {
      const keys = design.shades.map(({ key }) => key);
      const used = shadesUsed(design.construction).map(({ key }) => key);
      expect(used.length).toBeGreaterThan(0);
      expect(keys).toEqual(expect.arrayContaining(used));
      const replaced = withShadeReplaced(design.construction, used[0]!, 'Z');
      const counts = (list: readonly string[], key: string) => list.filter((each) => each === key).length;
      const after = shadesUsed(replaced).map(({ key }) => key);
      expect(counts(after, 'Z')).toBe(counts(used, used[0]!));
      expect(counts(after, used[0]!)).toBe(0);
    }, 60);
  });

  it('takes back the sequences of its rails as they are', () => {
    always((design) => {
      const { construction } = design;
      const { banded } = kindFor(construction);
      for (const direction of banded?.railsOf(construction) ?? []) {
        const sequence = banded!.sequenceOf(construction, direction, design);
        expect(banded!.withSequence(construction, direction, sequence, design)).toEqual(construction);
        const turned = { ...sequence, bands: [...sequence.bands, ...sequence.bands] };
        const longer = banded!.withSequence(construction, direction, turned, design);
        expect(banded!.sequenceOf(longer, direction, design).bands).toHaveLength(2 * sequence.bands.length);
      }
    }, 40);
  });

  it('has a start point, a demo design and a paragraph in the book of formats', () => {
    const named = allDesigns().filter(([, design]) => design.construction.kind === kind);
    expect(named.some(([name]) => name.startsWith('start '))).toBe(true);
    expect(named.some(([name]) => name.startsWith('demo '))).toBe(true);
    const formats = readFileSync(resolve(import.meta.dirname, '../../../docs/formats.md'), 'utf8');
    expect(formats).toMatch(new RegExp(`^A ${kind}(’s|'s)? .*has `, 'm'));
  });

  it('writes every file that it says it has', () => {
    for (const [, design] of allDesigns().filter(([, each]) => each.construction.kind === kind)) {
      for (const file of filesOf(design)) expect(writeFile(design, file).length).toBeGreaterThan(10);
    }
  });
});
