import { describe, expect, it } from 'vitest';
import { checkDesign } from '../../design/check-design.ts';
import { compile } from '../../design/compile-design.ts';
import type { TilingDesign } from '../../design/design-schema.ts';
import { symmetryOf } from '../../design/lay/lay-symmetry.ts';
import { newTiling, type TilingOrder } from '../../design/new-design.ts';
import { asKind } from '../../design/of-kind.ts';
import { readDesign } from '../../design/read-design.ts';
import { checkPartition } from '../../faces/check-partition.ts';
import { partitionIn } from '../contents.ts';
import { SIXTY_GROUPS, type SixtyGroup } from './sixty-groups.ts';

const shades = ['A', 'B', 'C', 'D'].map((key, at) => ({
  key,
  name: key,
  hex: ['#204060', '#c04020', '#e0d0a0', '#408050'][at]!,
}));

function floor(group: SixtyGroup, order: Partial<TilingOrder> = {}): TilingDesign {
  const design = newTiling({
    name: 'Floor',
    shades,
    form: { kind: 'regular', name: '3.6.3.6' },
    lay: { arrangement: { kind: 'group', group, way: 'across' } },
    ...order,
  });
  return asKind('tiling', readDesign(design));
}

/** A tiling whose faces are of so many shades that it has no symmetry of its own. */
const PLAIN: Partial<TilingOrder> = {
  form: { kind: 'regular', name: '6.6.6' },
  colours: 'sides',
  size: '10 mm',
};

describe('faces copied by third and sixth turns', () => {
  it.each(SIXTY_GROUPS)('%s: cut exactly, they cover the repeat once', (group) => {
    for (const order of [
      PLAIN,
      { ...PLAIN, form: { kind: 'regular', name: '3.6.3.6' } } as const,
      { ...PLAIN, form: { kind: 'regular', name: '3.4.6.4' } } as const,
    ]) {
      expect(checkPartition(partitionIn(compile(floor(group, order)))!).closed).toBe(true);
    }
  });

  it.each(SIXTY_GROUPS)(
    '%s is found, where scattered shades leave no symmetry but what is copied',
    (group) => {
      const design = floor(group, {
        ...PLAIN,
        // Half turns are in all that lies in the part of p3 of the plainer tiling.
        form: { kind: 'regular', name: group === 'p3' ? '3.4.6.4' : '3.6.3.6' },
        faces: ['A', 'B', 'C', 'D'],
        scatter: { times: 1, seed: 7, share: '2/3', by: '1/3' },
      });
      expect(symmetryOf(compile(design))?.group).toBe(group);
    },
  );

  it('with lines over them are proven and painted', () => {
    const design = floor('p6', {
      ...PLAIN,
      lines: [{ what: 'sides', of: null, dashes: null, skip: 1, width: '1 mm', ends: 'round', shade: 'C' }],
    });
    expect(checkDesign(design, { resolution: '100' })).toMatchObject({
      verdict: 'Fitted',
      laid: { asked: 'p6', images: { differingBytes: 0 } },
    });
  });

  it('are refused where the repeat is of another lattice', () => {
    expect(() => compile(floor('p6mm', { ...PLAIN, form: { kind: 'regular', name: '4.8.8' } }))).toThrow(
      'lay/sixty',
    );
  });
});
