import { describe, expect, it } from 'vitest';
import { picturesOf } from '../../../../tests/pictures-of.ts';
import { unitToSvg } from '../../formats/svg/unit-svg.ts';
import { checkDesign } from '../check-design.ts';
import { compileUnit } from '../compile-design.ts';
import { asKind } from '../of-kind.ts';
import { readDesign, writeDesignText } from '../read-design.ts';
import { designFromStart } from '../starts.ts';
import { motifFacts } from './motif-facts.ts';
import { MOTIF_STARTS } from './motif-starts.ts';
import { missesOfMotif } from './prove-motif.ts';

describe('start points', () => {
  it('are eighteen or more, each with a key and a line of its own', () => {
    expect(MOTIF_STARTS.length).toBeGreaterThanOrEqual(18);
    expect(new Set(MOTIF_STARTS.map(({ key }) => key)).size).toBe(MOTIF_STARTS.length);
    expect(new Set(MOTIF_STARTS.map(({ what }) => what)).size).toBe(MOTIF_STARTS.length);
  });

  it.each(MOTIF_STARTS.map(({ key }) => key))('%s is compiled, proven, painted and rolls back', (key) => {
    const design = readDesign(designFromStart('motif', key, 3));
    const pictures = picturesOf(design);
    const report = checkDesign(design, { resolution: '100', pictures });
    expect(report.open).toBeUndefined();
    expect(report.painted?.differingBytes).toBe(0);
    expect(report.painted?.leakingPixels).toBe(0);
    expect(missesOfMotif(compileUnit(design))).toBe(0);
    const { shares } = motifFacts(asKind('motif', design));
    expect(shares.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
    expect(unitToSvg(compileUnit(design, pictures), 'Start')).toMatch(/^<svg /);
  });

  it('of confetti differ by their seeds alone', () => {
    const text = (seed: number) => writeDesignText(designFromStart('motif', 'confetti', seed));
    expect(text(1)).toBe(text(1));
    expect(text(1)).not.toBe(text(2));
  });
});
