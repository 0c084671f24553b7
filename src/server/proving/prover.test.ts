import { describe, expect, it } from 'vitest';
import { SAMPLE, sampleDesign } from '../../../tests/sample-design.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { type Proven, proofName } from './proven.ts';
import { makeProver } from './prover.ts';

const DESIGN = sampleDesign(SAMPLE);
const OTHER: Design = { ...DESIGN, resolution: '299' };
const EXACT: Proven = { verdict: 'Exact', size: '1 × 1 thread', area: 1 };

/** Proofs that end when they are told to. */
function slowProofs() {
  const under_way: { readonly design: Design; readonly end: () => void; readonly signal: AbortSignal }[] = [];
  const prove = (design: Design, signal: AbortSignal) =>
    new Promise<Proven>((resolve, reject) => {
      signal.addEventListener('abort', () => reject(new Error('stopped')));
      under_way.push({ design, end: () => resolve(EXACT), signal });
    });
  return { under_way, prove };
}

describe('the prover', () => {
  it('answers what is proven in a moment, and else that the check goes on', async () => {
    const { under_way, prove } = slowProofs();
    const prover = makeProver(prove, 20);
    expect(await prover.soon('a', DESIGN)).toBeUndefined();
    const at_last = prover.atLast('a', DESIGN);
    expect(under_way).toHaveLength(1);
    under_way[0]!.end();
    expect(await at_last).toEqual(EXACT);
    expect(await prover.soon('a', DESIGN)).toEqual(EXACT);
  });

  it('proves the same numbers once, whatever they are called and whosever they are', async () => {
    const { under_way, prove } = slowProofs();
    const prover = makeProver(prove, 5);
    const both = [prover.atLast('a', DESIGN), prover.atLast('b', { ...DESIGN, name: 'Renamed' })];
    under_way[0]!.end();
    expect(await Promise.all(both)).toEqual([EXACT, EXACT]);
    expect(await prover.atLast('c', { ...DESIGN, number: 'V 9' })).toEqual(EXACT);
    expect(under_way).toHaveLength(1);
    expect(proofName(DESIGN)).not.toBe(proofName(OTHER));
  });

  it('stops a check whose design has other numbers now, unless another design waits for it', async () => {
    const { under_way, prove } = slowProofs();
    const prover = makeProver(prove, 5);
    const older = prover.atLast('a', DESIGN);
    const shared = prover.atLast('b', DESIGN);
    void prover.atLast('a', OTHER);
    expect(under_way[0]!.signal.aborted).toBe(false);
    void prover.atLast('b', OTHER);
    expect(under_way[0]!.signal.aborted).toBe(true);
    expect(await Promise.all([older, shared])).toEqual([undefined, undefined]);
    expect(under_way).toHaveLength(2);
  });
});
