import { expect } from 'vitest';
import { compileUnit } from '../../src/core/design/compile-design.ts';
import { missesOfMotif } from '../../src/core/design/motif/prove-motif.ts';
import { isKind } from '../../src/core/design/of-kind.ts';
import type { Sample } from './digest.ts';

/** Expects that a design closes, rolls back to itself when it is painted and lets no ground through. */
export function expectWhole({ design, report, told }: Sample): void {
  expect(report.open).toBeUndefined();
  expect(report.painted?.differingBytes).toBe(0);
  expect(report.painted?.leakingPixels ?? 0).toBe(0);
  if (!isKind('motif', design)) return;
  expect(missesOfMotif(compileUnit(design))).toBe(0);
  const { motif } = told as { readonly motif?: { readonly shares: Readonly<Record<string, number>> } };
  expect(Object.values(motif!.shares).reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 9);
}
