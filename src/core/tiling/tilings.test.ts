import { describe, expect, it } from 'vitest';
import { checkPartition } from './check-partition.ts';
import { ARCHIMEDEAN } from './forms/archimedean.ts';
import { buildTiling, turnTiling } from './tiling-form.ts';
import { configurations, foldTiling } from './torus.ts';

describe('the eleven', () => {
  it.each(Object.entries(ARCHIMEDEAN))(
    '%s is closed, and its vertices are what its name says',
    (name, form) => {
      const tiling = buildTiling(form);
      const torus = foldTiling(tiling);
      const proof = checkPartition(torus);
      expect(proof).toMatchObject({ closed: true });
      expect(new Set(configurations(torus))).toEqual(new Set([name]));
      expect(checkPartition(foldTiling(turnTiling(tiling, 5))).closed).toBe(true);
    },
  );
});
