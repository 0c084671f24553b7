import { describe, expect, it } from 'vitest';
import { shadeOfLetter } from '../../colour/letter-shades.ts';
import { placesOfFigure } from '../../shape/figure-places.ts';
import { checkDesign } from '../check-design.ts';
import { compile } from '../compile-design.ts';
import { newTiling, type TilingOrder } from '../new-design.ts';
import { readDesign } from '../read-design.ts';
import type { FormSpec } from './form-schema.ts';

const HEXAGONS: FormSpec = { kind: 'regular', name: '6.6.6' };
const OCTAGONS: FormSpec = { kind: 'regular', name: '4.8.8' };
const SHADES = [...'ABCD'].map(shadeOfLetter);

function tiling(form: FormSpec, more: Partial<TilingOrder> = {}) {
  return newTiling({ name: 'Floor', shades: SHADES, form, ...more });
}

describe('letters in faces', () => {
  const letters = {
    text: 'LR',
    font: 'instrument' as const,
    height: '5 mm',
    shade: 'D',
    turned: false,
    of: '8',
  };
  const figuresOf = (more: Partial<typeof letters>) => {
    const { content } = compile(tiling(OCTAGONS, { letters: { ...letters, ...more } }));
    return content.kind === 'marks' ? content.marks : [];
  };

  it('stand in the faces of a kind, or in all', () => {
    const all = figuresOf({ of: null as never });
    expect(figuresOf({}).length).toBeGreaterThan(0);
    expect(all.length).toBeGreaterThan(figuresOf({}).length);
    expect(figuresOf({ of: '5' })).toEqual([]);
    for (const { shade } of all) expect(SHADES[shade!]!.key).toBe('D');
  });

  it('are upright, or turn with each face', () => {
    const ways = (more: Partial<typeof letters>) => {
      const { content } = compile(
        tiling(HEXAGONS, { dual: true, letters: { ...letters, of: '3', ...more } }),
      );
      const marks = content.kind === 'marks' ? content.marks : [];
      const angles = marks.map(({ shape }) => {
        if (shape.kind !== 'figure' || shape.figure.kind !== 'outline') throw new Error('expected letters');
        // The L's foot: its outline begins at its lower left and goes along it or up.
        const [first, second] = placesOfFigure(shape.figure);
        return Math.round((Math.atan2(second!.y - first!.y, second!.x - first!.x) * 180) / Math.PI);
      });
      return new Set(angles).size;
    };
    expect(ways({})).toBe(1);
    expect(ways({ turned: true })).toBeGreaterThan(1);
  });

  it('are none in documents of version 10, which knew none', () => {
    const now = readDesign(tiling(HEXAGONS));
    const { letters: none, ...construction } = tiling(HEXAGONS).construction;
    expect(none).toBeNull();
    expect(readDesign({ ...tiling(HEXAGONS), version: 10, construction })).toEqual(now);
  });

  it('roll back byte for byte, and are refused where the font lacks them', () => {
    const design = tiling(HEXAGONS, { letters: { ...letters, turned: true, of: null } });
    const report = checkDesign(readDesign(design));
    expect(report.open).toBeUndefined();
    expect(report.painted?.differingBytes).toBe(0);
    expect(() => compile(tiling(HEXAGONS, { letters: { ...letters, text: 'Ж' } }))).toThrow('figure/letters');
  });
});
