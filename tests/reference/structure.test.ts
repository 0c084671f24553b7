import { Resvg } from '@resvg/resvg-js';
import fc from 'fast-check';
import { PNG } from 'pngjs';
import { describe, expect, it } from 'vitest';
import { structureToPng } from '../../src/core/formats/png/structure-png.ts';
import { draftToSvg } from '../../src/core/formats/svg/draft-svg.ts';
import { buildWeave } from '../../src/core/thread/weaves/build-weave.ts';
import { draftOf } from '../../src/core/thread/weaves/draft.ts';
import { parseWeave } from '../../src/core/thread/weaves/weave-text.ts';
import { nodeCompressor } from '../../src/server/sending/node-compressor.ts';
import { someWeave } from '../sample-design.ts';

async function png(text: string, look: 'paper' | 'texture', scale: number): Promise<PNG> {
  const pieces: Uint8Array[] = [];
  for await (const piece of structureToPng(buildWeave(parseWeave(text)), look, scale, nodeCompressor))
    pieces.push(piece);
  return PNG.sync.read(Buffer.concat(pieces));
}

describe('a structure as pictures, decoded by another library (pngjs)', () => {
  it('the texture is grey where the warp lies on top, else clear', async () => {
    const { ends, picks, up } = buildWeave(parseWeave('satin 5/2'));
    const { width, height, data } = await png('satin 5/2', 'texture', 3);
    expect([width, height]).toEqual([ends * 3, picks * 3]);
    for (let y = 0; y < height; y += 1) {
      for (let x = 0; x < width; x += 1) {
        const cell = up[(picks - 1 - Math.floor(y / 3)) * ends + Math.floor(x / 3)];
        expect(data[(y * width + x) * 4 + 3]).toBe(cell === 1 ? 255 : 0);
        expect(data[(y * width + x) * 4]).toBe(128);
      }
    }
  });

  it('point paper has its heavier lines every eight squares, from the lower left', async () => {
    const { width, height, data } = await png('pointed 2/2 10', 'paper', 8);
    const heavy = (x: number, y: number) => data[(y * width + x) * 4] === 96;
    for (let square = 0; square < width / 8; square += 1) expect(heavy(square * 8, 3)).toBe(square % 8 === 0);
    expect(heavy(5, height - 1)).toBe(true);
    expect(heavy(5, height - 9)).toBe(false);
  });

  it('is refused at no pixels a thread', () => {
    expect(() => structureToPng(buildWeave(parseWeave('plain')), 'paper', 0, nodeCompressor)).toThrow(
      'send/per-thread',
    );
  });
});

describe('a draft as a drawing, rendered by another library (resvg)', () => {
  it('shows every square of the structure filled or not', () => {
    fc.assert(
      fc.property(someWeave, (spec) => {
        const structure = buildWeave(spec);
        const svg = draftToSvg({ structure, draft: draftOf(structure), title: 'Draft' });
        const { width, pixels } = new Resvg(svg, { fitTo: { mode: 'zoom', value: 3 } }).render();
        const { treadles } = { treadles: draftOf(structure).tieup.length };
        const perSquare = width / (structure.ends + 1 + treadles + 0.2);
        const shafts = new Set(draftOf(structure).threading).size;
        structure.up.forEach((up, at) => {
          const x = Math.round((0.1 + (at % structure.ends) + 0.5) * perSquare);
          const y = Math.round(
            (0.1 + shafts + 1 + structure.picks - 1 - Math.floor(at / structure.ends) + 0.5) * perSquare,
          );
          expect(pixels[(y * width + x) * 4 + 3]).toBe(up === 1 ? 255 : 0);
        });
      }),
      { numRuns: 20 },
    );
  });
});
