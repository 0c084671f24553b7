import * as fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { TWO_SHADES } from '../../../../tests/sample-design.ts';
import { hexDifference } from '../../colour/compare.ts';
import type { Pictures } from '../../shape/picture.ts';
import { compile } from '../compile-design.ts';
import type { Design, PliesDesign } from '../design-schema.ts';
import { line } from '../motif/start-parts.ts';
import { usualPiece } from '../motif/usual-piece.ts';
import { newMotif } from '../new-design.ts';
import { asPlies, withPly } from '../plies/lay-over.ts';
import { startsOf } from '../starts.ts';
import { joinsFound } from './joins-found.ts';
import { joinsOfDesign } from './joins-of-design.ts';

const [DARK, LIGHT] = TWO_SHADES;

const joinsOf = (design: Design, pictures?: Pictures) => joinsOfDesign(design, compile(design, pictures));

/** One piece that covers a box of 8 × 4 steps of 5 mm. */
function covering(fade: { over: 'piece' | 'repeat'; angle?: string; shades?: string[] }, x = '4'): Design {
  const { over, angle = '90', shades = [DARK.key, LIGHT.key] } = fade;
  return newMotif({
    name: 'Covered',
    shades: [...TWO_SHADES],
    box: { width: '8', height: '4' },
    pieces: [
      usualPiece(1, line('-4,-2 4,-2 4,2 -4,2', { run: 'closed', width: null }), x, '2', {
        fade: { kind: 'along', shades, over, angle },
      }),
    ],
  });
}

/** A fade over an empty box. */
function fadePly(angle: string, shades: string[]): PliesDesign {
  const empty = newMotif({
    name: 'Empty',
    shades: [...TWO_SHADES],
    box: { width: '8', height: '4' },
    pieces: [],
  });
  return withPly(asPlies(empty, null), { kind: 'fade', shades, angle });
}

describe('joins', () => {
  it('are where the last shade of a fade meets its first, by their difference', () => {
    const whole = hexDifference(DARK.hex, LIGHT.hex);
    for (const over of ['piece', 'repeat'] as const) {
      const [join, ...others] = joinsOf(covering({ over }));
      expect(others).toEqual([]);
      expect(join).toMatchObject({ what: 'fade', over: 'up' });
      expect(join!.difference).toBeGreaterThan(0.99 * whole);
      expect(Math.abs(join!.at.y) % 20).toBeCloseTo(0, 3);
    }
    expect(joinsOf(fadePly('0', [DARK.key, LIGHT.key]))).toMatchObject([
      { what: 'fade', ply: 2, over: 'across' },
    ]);
  });

  it('do not change with where the repeat begins', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 79 }), (tenths) => {
        const there = joinsOf(covering({ over: 'piece', angle: '0' }, String(4 + tenths / 10)));
        const here = joinsOf(covering({ over: 'piece', angle: '0' }));
        expect(there).toHaveLength(1);
        expect(there[0]!.difference).toBeCloseTo(here[0]!.difference, 1);
      }),
      { numRuns: 20 },
    );
  });

  it('say what leaves none: it was tried', () => {
    const closed = (design: Design) => joinsFound(design, compile(design)).closed;
    expect(closed(covering({ over: 'piece' }))).toEqual(['ended', 'mirrored']);
    // Over the whole repeat it goes over a mirrored one from end to end, too.
    expect(closed(covering({ over: 'repeat' }))).toEqual(['ended']);
    expect(closed(fadePly('90', [DARK.key, LIGHT.key]))).toEqual(['ended', 'mirrored']);
    // Aslant, a fade meets itself whatever it ends with.
    expect(closed(fadePly('45', [DARK.key, LIGHT.key]))).toEqual(['mirrored']);
    expect(joinsOf(fadePly('90', [DARK.key, LIGHT.key, DARK.key]))).toEqual([]);
  });

  it('are none where what clips a fade is clear, or opaque plies lie over it', () => {
    const disc = newMotif({
      name: 'Disc',
      shades: [...TWO_SHADES],
      box: { width: '8', height: '4' },
      pieces: [usualPiece(1, { kind: 'disc', across: '3' }, '4', '2', { shade: DARK.key })],
    });
    const under = asPlies({ ...disc, construction: { ...disc.construction, ground: null } }, null);
    const fade = { kind: 'fade' as const, shades: [DARK.key, LIGHT.key], angle: '90' };
    expect(joinsOf(withPly(under, fade))).toHaveLength(1);
    expect(joinsOf(withPly(under, fade, { clip: 0 }))).toEqual([]);
    // Moved by half of it, the fade meets itself within the discs.
    const moved = withPly(under, fade, { clip: 0, shift: { in: 'repeats', x: '0', y: '1/2' } });
    expect(joinsOf(moved)).toMatchObject([{ ply: 2, over: 'up' }]);
    expect(joinsOf(withPly(moved, { kind: 'shade', shade: LIGHT.key }))).toEqual([]);
  });

  it('are those of pictures beyond their own grain', () => {
    const wide = 32;
    const picture = (levelOf: (x: number) => number) => {
      const rgba = new Uint8Array(wide * 16 * 4);
      for (let at = 0; at < wide * 16; at += 1) rgba.set([levelOf(at % wide), 80, 80, 255], 4 * at);
      return { width: wide, height: 16, rgba };
    };
    const name = 'a'.repeat(64);
    const shown = (levelOf: (x: number) => number) => {
      const base = covering({ over: 'piece' }) as ReturnType<typeof newMotif>;
      const piece = {
        ...base.construction.pieces[0]!,
        fade: null,
        picture: { hash: name, width: wide, height: 16, name: 'ramp', fit: 'filling' as const },
      };
      const design = { ...base, construction: { ...base.construction, pieces: [piece] } };
      return joinsOf(design as Design, new Map([[name, picture(levelOf)]]));
    };
    expect(shown((x) => 7 * x)).toMatchObject([{ what: 'picture', over: 'across' }]);
    expect(shown((x) => Math.round(120 + 100 * Math.sin((2 * Math.PI * x) / wide)))).toEqual([]);
  });

  it('are none of bands, faces and pieces that were typed', () => {
    let looked = 0;
    for (const kind of ['plaid', 'stripe', 'tiling'] as const) {
      for (const { design } of startsOf(kind)) {
        looked += 1;
        expect(joinsOf(design(0))).toEqual([]);
      }
    }
    expect(looked).toBeGreaterThan(50);
    expect(joinsOf(covering({ over: 'piece', shades: [LIGHT.key, LIGHT.key] }))).toEqual([]);
  });
});
