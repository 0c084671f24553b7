import { describe, expect, it } from 'vitest';
import { writeDesignText } from '../read-design.ts';
import { designFromStart } from '../starts.ts';
import { MOTIF_STARTS } from './motif-starts.ts';

describe('start points', () => {
  it('are eighteen or more, each with a key and a line of its own', () => {
    expect(MOTIF_STARTS.length).toBeGreaterThanOrEqual(18);
    expect(new Set(MOTIF_STARTS.map(({ key }) => key)).size).toBe(MOTIF_STARTS.length);
    expect(new Set(MOTIF_STARTS.map(({ what }) => what)).size).toBe(MOTIF_STARTS.length);
  });

  it('of confetti differ by their seeds alone', () => {
    const text = (seed: number) => writeDesignText(designFromStart('motif', 'confetti', seed));
    expect(text(1)).toBe(text(1));
    expect(text(1)).not.toBe(text(2));
  });
});
