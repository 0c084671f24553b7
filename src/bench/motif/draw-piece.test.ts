import { describe, expect, it } from 'vitest';
import { allDesigns } from '../../../tests/sameness/designs.ts';
import { scaleOf } from '../../core/design/motif/lay-box.ts';
import { madePieces } from '../../core/design/motif/made-pieces.ts';
import { SOME_SCALE } from '../../core/design/motif/motif-numbers.ts';
import { drawPiece } from './draw-piece.ts';

const MOTIFS = allDesigns().flatMap(([name, { construction, shades }]) =>
  construction.kind === 'motif' && construction.pieces.length > 0
    ? [[name, construction, shades] as const]
    : [],
);

describe('pictures of pieces', () => {
  it('are tried on start points and demo designs', () => expect(MOTIFS.length).toBeGreaterThan(25));

  it.each(MOTIFS)('of %s are elements with what is filled', (_, construction, shades) => {
    const scale = scaleOf(construction, SOME_SCALE.pixel);
    for (const made of madePieces(construction, scale).values()) {
      const { view, paths } = drawPiece(made, shades);
      expect(view).toMatch(/^\S+ \S+ \S+ \S+$/);
      expect(`${view} ${paths}`).not.toMatch(/\[object|NaN|undefined|Infinity/);
      const painted = made.layers.filter(({ paint }) => paint !== null && paint.shadow === undefined);
      if (painted.length > 0) expect(paths).toMatch(/<path [^>]*d="M/);
    }
  });
});
