import { describe, expect, it } from 'vitest';
import { sampleDesign } from '../../../../tests/sample-design.ts';
import { seenFromBehind } from '../../design/behind.ts';
import { compile, compileUnit } from '../../design/compile-design.ts';
import { threadFacts } from '../../design/design-facts.ts';
import type { Design } from '../../design/design-schema.ts';
import type { Arrangement } from '../../design/lay/lay-schema.ts';
import { markedUnit } from '../../design/marked-unit.ts';
import { newTiling } from '../../design/new-design.ts';
import { readDesign } from '../../design/read-design.ts';
import { weaveFacts } from '../../design/weave-facts.ts';
import { checkPartition } from '../../faces/check-partition.ts';
import { paintTile } from '../../paint/painting.ts';
import { NO_MARKS } from '../../thread/mark-cells.ts';
import { cellsAsFaces } from './cells-as-faces.ts';

function laid<D extends Design>(design: D, arrangement: Arrangement): D {
  return { ...design, lay: { ...design.lay, arrangement } };
}

const PLAID = sampleDesign('warp: A4 B2 C6 D1\nweft: C3 A1\nweave: 2/2Z\ndensity: 20/in');
const MIRRORED = { kind: 'group', group: 'p2mm', way: 'across' } as const;

describe('cells as faces', () => {
  it('are the same picture, and cover the repeat once', () => {
    const unit = compileUnit(PLAID);
    const { ends, picks } = unit.grid.step === 'thread' ? unit.grid : { ends: 0, picks: 0 };
    const faces = cellsAsFaces(unit.content);
    expect(checkPartition(faces).closed).toBe(true);
    const tile = { width: 3 * ends, height: 3 * picks };
    expect(paintTile({ ...unit, grid: { step: 'mm' }, content: faces }, tile)).toEqual(paintTile(unit, tile));
  });
});

describe('lines over faces', () => {
  const floor = readDesign(
    newTiling({
      name: 'Floor',
      shades: ['A', 'B', 'C'].map((key, at) => ({
        key,
        name: key,
        hex: ['#203040', '#c05030', '#f0e0c0'][at]!,
      })),
      form: { kind: 'regular', name: '4.8.8' },
      colours: 'sides',
      size: '20 mm',
      lines: [{ what: 'sides', of: null, dashes: null, skip: 1, width: '3 mm', ends: 'round', shade: 'C' }],
    }),
  );

  it('are laid with them: in brick the upper row is the lower one, moved', () => {
    const side = 96;
    const once = paintTile(compileUnit(floor), { width: side, height: side });
    const brick = paintTile(compile(laid(floor, { kind: 'brick', by: '1/2' })), {
      width: side,
      height: 2 * side,
    });
    let most = 0;
    for (let y = 0; y < side; y += 1) {
      for (let x = 0; x < side; x += 1) {
        for (let part = 0; part < 4; part += 1) {
          const here = once[(y * side + x) * 4 + part]!;
          const lower = brick[((y + side) * side + x) * 4 + part]!;
          const upper = brick[(y * side + ((x + side / 2) % side)) * 4 + part]!;
          most = Math.max(most, Math.abs(here - lower), Math.abs(here - upper));
        }
      }
    }
    // Where rows meet a line's end is cut, and strokes are worked out in other subpixels.
    expect(most).toBeLessThan(40);
  });
});

describe('woven cloth that is laid', () => {
  it('has the floats of its laid threads', () => {
    expect(threadFacts(PLAID)?.float).toBe(2);
    expect(threadFacts(laid(PLAID, MIRRORED))?.float).toBe(3);
    const doubled = { ...PLAID, lay: { ...PLAID.lay, arrangement: MIRRORED, pivots: 'doubled' as const } };
    expect(threadFacts(doubled)?.float).toBe(4);
    expect(weaveFacts(doubled).layers).toHaveLength(1);
  });

  it('is not looked at where it has too many crossings', () => {
    const wide = sampleDesign('warp: A600 B1\nweave: 2/2Z\ndensity: 20/in');
    expect(threadFacts(laid(wide, MIRRORED))?.float).toBeUndefined();
    expect(() => weaveFacts(laid(wide, MIRRORED))).toThrow('lay/crossings');
    expect(threadFacts(wide)?.float).toBe(2);
  });

  it('is seen from behind as it is laid, or from before where it cannot be woven', () => {
    const behind = seenFromBehind(laid(PLAID, MIRRORED));
    expect(behind.lay.arrangement).toEqual({ kind: 'straight' });
    expect(compile(behind).grid).toEqual(compile(laid(PLAID, MIRRORED)).grid);
    const unwoven = laid(PLAID, { kind: 'half-drop', by: '1/2' });
    expect(seenFromBehind(unwoven)).toBe(unwoven);
  });

  it('has long floats marked where they lie in it', () => {
    const design = laid(PLAID, MIRRORED);
    const unit = compile(design);
    expect(markedUnit(unit, design, NO_MARKS)).toBe(unit);
    const marked = markedUnit(unit, design, { floatLimit: 2, layers: false });
    const shades = (each: typeof unit) => (each.content.kind === 'cells' ? each.content.shades.length : 0);
    expect(shades(marked)).toBe(2 * shades(unit));
  });
});

describe('a document of version 12', () => {
  it('keeps the lay of a motif, and lays all else straight', () => {
    const { arrangement: _, pivots: __, scale: ___, slope: ____, ...lay } = PLAID.lay;
    const older = { ...PLAID, version: 12, lay: { kind: 'straight', ...lay } };
    expect(readDesign(older)).toEqual(PLAID);
  });
});
