import { describe, expect, it } from 'vitest';
import { sampleDesign } from '../../../../tests/sample-design.ts';
import { compile } from '../compile-design.ts';
import type { Design } from '../design-schema.ts';
import type { Arrangement } from './lay-schema.ts';
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
