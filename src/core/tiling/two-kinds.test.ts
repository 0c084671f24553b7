import { describe, expect, it } from 'vitest';
import { checkPartition } from '../faces/check-partition.ts';
import { foldTiling } from '../faces/torus.ts';
import { configurations } from './around-vertex.ts';
import { dualOf } from './dual.ts';
import { TWO_KINDS } from './forms/two-kinds.ts';
import { buildTiling } from './tiling-form.ts';

describe('tilings with two kinds of vertices', () => {
  it.each(Object.entries(TWO_KINDS))('%s is closed, and so is its dual', (name, form) => {
    const tiling = buildTiling(form);
    const torus = foldTiling(tiling);
    expect([...new Set(configurations(torus))].sort().join(' + ')).toBe(name.split(',')[0]);
    expect(checkPartition(torus).closed).toBe(true);
    expect(checkPartition(foldTiling(dualOf(tiling))).closed).toBe(true);
  });
});
