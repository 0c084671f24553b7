import * as fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sampleDesign } from '../../../../tests/sample-design.ts';
import { toText } from '../../exact/rational.ts';
import { threadCuts } from '../../repeat/check-repeat.ts';
import { checkDesign } from '../check-design.ts';
import { compile } from '../compile-design.ts';
import type { PlaidDesign } from '../design-schema.ts';
import { asPlies, layOver } from '../plies/lay-over.ts';
import { cutsOfDesign } from './closing-cuts.ts';
import type { Arrangement } from './lay-schema.ts';
import { withStep } from './with-step.ts';

function laid(text: string, arrangement: Arrangement): PlaidDesign {
  const design = sampleDesign(`${text}\ndensity: 20/in`);
  return { ...design, lay: { ...design.lay, arrangement } };
}

/** What is told of a design's cuts, the counts laid out alone. */
function told(design: PlaidDesign) {
  return cutsOfDesign(design, compile(design)).map(({ of, step, closing, steps }) => ({
    of,
    step: toText(step),
    closing: closing.map(({ threads }) => threads),
    steps,
  }));
}

describe('what closes where threads would be cut', () => {
  it('is counted in the threads that are laid out, with their weave', () => {
    // Five picks and a weave of four come round after 20; seven and four after 28, of which three sevenths are 12.
    const design = laid('warp: A6 B6\nweft: A3 B2\nweave: 2/2Z', { kind: 'half-drop', by: '3/7' });
    expect(told(design)).toEqual([{ of: 'picks', step: '60/7', closing: [7], steps: ['2/5', '9/20'] }]);
  });

  it('is nothing where a part of all that is laid out is whole already', () => {
    const design = laid('warp: A6 B6\nweft: A3\nweave: 2/2Z', { kind: 'half-drop', by: '1/3' });
    expect(told(design)).toEqual([]);
    expect(checkDesign(design)).toMatchObject({ verdict: 'Exact', open: undefined });
    const { lattice } = compile(design);
    expect(lattice.map(({ x, y }) => `${toText(x)} ${toText(y)}`)).toEqual(['12 0', '0 4']);
  });

  it('is a whole number of threads where a way itself is none', () => {
    const across = { x: '12', y: '0' };
    const design = laid('warp: A6 B6\nweft: A5 B5\nweave: 1/1Z', {
      kind: 'free',
      across,
      up: { x: '1/7', y: '10' },
    });
    expect(told(design)).toEqual([{ of: 'ends', step: '1/7', closing: [], steps: ['0', '1'] }]);
    expect(withStep(design.lay.arrangement, 'ends', '1')).toMatchObject({ across, up: { x: '1', y: '10' } });
  });

  it('is told on a slope, and of plies, too', () => {
    const design = laid('warp: A3 B2\nweft: A3 B2\nweave: 1/1Z', { kind: 'half-drop', by: '1/4' });
    const sloped = { ...design, lay: { ...design.lay, slope: { up: 1, across: 1, asked: null } } };
    expect(told(sloped)).toEqual(told(design));
    expect(checkDesign(sloped)).toMatchObject({ verdict: 'Open', open: 'threads' });
    const upright = { up: 1, across: 0, asked: null };
    const plies = layOver(asPlies(sampleDesign('A5 B5\ndensity: 20/in'), null), design, null, {
      slope: upright,
    });
    expect(checkDesign(plies)).toMatchObject({
      verdict: 'Open',
      open: 'threads',
      cuts: [{ of: 'picks', ply: 2, closing: [], steps: [] }],
    });
  });

  it('changes both directions where the weft follows the warp', () => {
    const design = laid('A6 B5\nweave: 1/1Z', { kind: 'brick', by: '1/4' });
    const [cut] = cutsOfDesign(design, compile(design));
    expect(cut!.closing.map(({ threads }) => threads)).toEqual([8, 12]);
  });

  it('closes, whatever is told', () => {
    let offered = 0;
    const counts = fc.record({
      a: fc.integer({ min: 1, max: 9 }),
      b: fc.integer({ min: 0, max: 9 }),
      weave: fc.constantFrom('1/1Z', '2/1Z', '2/2Z', '3/2Z'),
      n: fc.integer({ min: 1, max: 8 }),
      d: fc.integer({ min: 2, max: 9 }),
      kind: fc.constantFrom('half-drop' as const, 'brick' as const),
    });
    fc.assert(
      fc.property(counts, ({ a, b, weave, n, d, kind }) => {
        fc.pre(n < d);
        const weft = b === 0 ? `A${a}` : `A${a} B${b}`;
        const design = laid(`warp: A5 B4\nweft: ${weft}\nweave: ${weave}`, { kind, by: `${n}/${d}` });
        for (const { of, closing, steps } of cutsOfDesign(design, compile(design))) {
          for (const by of steps) {
            offered += 1;
            const arrangement = withStep(design.lay.arrangement, of, by)!;
            expect(threadCuts(compile({ ...design, lay: { ...design.lay, arrangement } }))).toEqual([]);
          }
          for (const { threads, bands } of closing) {
            offered += 1;
            const { construction } = design;
            const changed =
              of === 'ends'
                ? { ...construction, warp: { ...construction.warp, bands: [...bands] } }
                : {
                    ...construction,
                    weft: { ...construction.weft, own: { bands: [...bands], mirror: 'none' as const } },
                  };
            expect(bands.reduce((sum, { count }) => sum + count, 0)).toBe(threads);
            expect(threadCuts(compile({ ...design, construction: changed }))).toEqual([]);
          }
        }
      }),
    );
    expect(offered).toBeGreaterThan(20);
  });
});
