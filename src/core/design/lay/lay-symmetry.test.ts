import * as fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sampleDesign } from '../../../../tests/sample-design.ts';
import { paintTile } from '../../paint/painting.ts';

import { checkDesign } from '../check-design.ts';
import { compile } from '../compile-design.ts';
import type { Design } from '../design-schema.ts';
import { motifFromText } from '../motif/text/motif-from-text.ts';
import { type Arrangement, LAY_GROUPS } from './lay-schema.ts';
import { symmetryOf } from './lay-symmetry.ts';

/** Cells of no symmetry of their own, as many each way. */
const PRINT: Design = (() => {
  const base = sampleDesign('warp: A1 B2 C3 D1\nweft: E2 F1 G1 H3\nweave: 3/4Z\ndensity: 20/in');
  return base;
})();

const group = (name: Extract<Arrangement, { kind: 'group' }>['group'], way: 'across' | 'up' = 'across') =>
  ({ kind: 'group', group: name, way }) as const;

describe('the group of laid threads is found by looking', () => {
  it.each(['pm', 'pg', 'cm', 'p2', 'p2mm', 'p2mg', 'p2gg', 'c2mm', 'p4', 'p4mm', 'p4gm'] as const)(
    '%s',
    (name) => {
      for (const pivots of ['shared', 'doubled'] as const) {
        for (const way of ['across', 'up'] as const) {
          const unit = compile({ ...PRINT, lay: { ...PRINT.lay, arrangement: group(name, way), pivots } });
          expect(symmetryOf(unit)?.group).toBe(name);
        }
      }
    },
  );

  it('of plain weave in one colour over another is that of a chessboard', () => {
    const plain = sampleDesign('warp: A1\nweft: B1\nweave: plain\ndensity: 20/in');
    expect(symmetryOf(compile(plain))).toMatchObject({ group: 'p4mm', order: 4, reflections: 4 });
  });

  it('of threads that are denser one way has no quarter turns', () => {
    const plain = sampleDesign('warp: A1\nweft: B1\nweave: plain\ndensity: 20 x 30/in');
    expect(symmetryOf(compile(plain))?.group).toBe('c2mm');
  });
});

describe('the group of a laid motif is found by looking', () => {
  const pieces = fc.record({
    width: fc.integer({ min: 30, max: 400 }),
    height: fc.integer({ min: 30, max: 200 }),
    x: fc.integer({ min: 1, max: 699 }),
    y: fc.integer({ min: 1, max: 699 }),
    // Turned by less than an eighth, and not level: nothing of it is a symmetry by itself.
    turn: fc.integer({ min: 3, max: 42 }),
  });

  // Mirror images that lie over each other have outlines on outlines.
  it.each(LAY_GROUPS)('%s, of any rectangle on a clear ground', (name) => {
    fc.assert(
      fc.property(pieces, ({ width, height, x, y, turn }) => {
        // What lies in the middle between two mirrors may have more symmetries than were asked for.
        const isBetween =
          [x, y].some((place) => place % 175 === 0) || (x + y) % 350 === 0 || (x - y) % 350 === 0;
        fc.pre(Math.abs(width - height) > 20 && !isBetween);
        const design = motifFromText(
          `rectangle width=${width / 100} height=${height / 100} x=${x / 100} y=${y / 100} turn=${turn} shade=B`,
        );
        const box = { width: '7', height: '7' };
        const laid = {
          ...design,
          construction: { ...design.construction, box },
          lay: { ...design.lay, arrangement: group(name) },
        };
        expect(symmetryOf(compile(laid))?.group).toBe(name);
      }),
      { numRuns: 20 },
    );
  });

  it('and in pixels, where what is clear has no colour', () => {
    const design = motifFromText('rectangle width=1.15 height=0.68 x=4.90 y=0.14 turn=108 shade=B');
    const box = { width: '7', height: '7' };
    const laid = {
      ...design,
      construction: { ...design.construction, box, ground: null },
      lay: { ...design.lay, arrangement: group('p4mm') },
    };
    expect(checkDesign(laid).laid).toMatchObject({ found: 'p4mm', images: { differingBytes: 0 } });
    const pixels = paintTile(compile(laid), { width: 90, height: 90 });
    const clear = Array.from({ length: 90 * 90 }, (_, at) => at * 4).filter((at) => pixels[at + 3] === 0);
    expect(clear.length).toBeGreaterThan(1000);
    for (const at of clear) expect([...pixels.subarray(at, at + 3)]).toEqual([0, 0, 0]);
  });
});
