import { describe, expect, it } from 'vitest';
import { sampleDesign } from '../../../tests/sample-design.ts';
import { compile } from '../design/compile-design.ts';
import { markedUnit } from '../design/marked-unit.ts';
import { type Cells, cellAt } from './cells.ts';
import { marksOf, NO_MARKS } from './mark-cells.ts';
import { buildWeave } from './weaves/build-weave.ts';
import { parseWeave } from './weaves/weave-text.ts';

function marked(text: string, marks: typeof NO_MARKS): Cells {
  const design = sampleDesign(text);
  return markedUnit(compile(design), design, marks).content as Cells;
}

describe('marks on the cloth', () => {
  it('stand on every cell of a float that is too long, and only there', () => {
    // A 3/1 twill: three of four cells belong to warp floats of 3; from behind, its weft floats are 3 too.
    expect(marksOf(buildWeave(parseWeave('3/1')), { floatLimit: 2, layers: false })).toHaveLength(16);
    const cells = marked('shades: A=#102030\nwarp: A3\nweave: 3/1Z', { floatLimit: 2, layers: false });
    let tinted = 0;
    for (let y = 0; y < cells.height; y += 1) {
      for (let x = 0; x < cells.width; x += 1) {
        const is = cells.shades[cellAt(cells, x, y)]!.hex !== '#102030';
        expect(is).toBe(cells.over![cells.rowAt[y]!]![x] === 1);
        if (is) tinted += 1;
      }
    }
    expect(tinted).toBe((cells.width * cells.height * 3) / 4);
  });

  it('show the layer that comes away, and nothing on cloth that hangs together', () => {
    const apart = marksOf(buildWeave(parseWeave('double')), { floatLimit: 0, layers: true });
    expect([...apart].filter((mark) => mark === 1).length).toBeGreaterThan(0);
    expect(marksOf(buildWeave(parseWeave('double stitched')), { floatLimit: 0, layers: true })).not.toContain(
      1,
    );
    const design = sampleDesign('warp: A3 B2\nweave: 2/2Z');
    const unit = compile(design);
    expect(markedUnit(unit, design, { floatLimit: 0, layers: true }).content).toBe(unit.content);
    expect(markedUnit(unit, design, NO_MARKS).content).toBe(unit.content);
  });
});
