import { describe, expect, it } from 'vitest';
import { disc, motifOf, type SomePiece } from '../../../../tests/motif-of.ts';
import { surdToNumber } from '../../exact/surd.ts';
import { SIXTY_GROUPS } from '../../repeat/lay/sixty-groups.ts';
import { checkDesign } from '../check-design.ts';
import { compile, compileUnit } from '../compile-design.ts';
import { missesOfMotif } from './prove-motif.ts';

describe('the boxes of a motif', () => {
  it.each([
    [{ kind: 'straight' }, [40, 40], 1],
    [{ kind: 'half-drop', by: '1/2' }, [80, 40], 2],
    [{ kind: 'half-drop', by: '2/5' }, [200, 40], 5],
    [{ kind: 'brick', by: '1/3' }, [40, 120], 3],
    [{ kind: 'free', across: { x: '6', y: '2' }, up: { x: '-2', y: '6' } }, [100, 100], 10],
  ] as const)('%o repeats in %o mm with %i boxes', (lay, [width, height], boxes) => {
    const design = motifOf([{ shape: disc('2') }], { lay });
    const { repeat, size } = checkDesign(design, { resolution: '100' });
    expect(repeat).toMatchObject({ width: { n: 1n }, height: { n: 1n } });
    expect(size).toMatchObject({
      width: { terms: [{ coefficient: { n: BigInt(width) } }] },
      height: { terms: [{ coefficient: { n: BigInt(height) } }] },
    });
    expect(compileUnit(design).content.marks).toHaveLength(boxes);
  });

  it('that are not what the numbers say are found out', () => {
    const unit = compileUnit(motifOf([{ shape: disc('2') }], { lay: { kind: 'half-drop', by: '1/2' } }));
    expect(missesOfMotif(unit)).toBe(0);
    const { content } = unit;
    expect(
      missesOfMotif({ ...unit, content: { ...content, marks: content.marks.slice(1) } }),
    ).toBeGreaterThan(0);
    const [first, ...others] = content.marks;
    const recoloured = [{ ...first!, shade: 2 }, ...others];
    expect(missesOfMotif({ ...unit, content: { ...content, marks: recoloured } })).toBeGreaterThan(0);
  });

  it.each(SIXTY_GROUPS)('copied by %s lie on a lattice whose steps are a box wide: w × w√3', (group) => {
    const design = motifOf([{ shape: disc('1'), x: '3', y: '1' }], {
      lay: { kind: 'group', group, way: 'across' },
      box: { width: '8', height: '3' },
    });
    const { pitch } = compile(design);
    expect(surdToNumber(pitch.x)).toBe(40);
    expect(surdToNumber(pitch.y)).toBeCloseTo(40 * Math.sqrt(3), 12);
    const { numbers, painted, laid } = checkDesign(design, { resolution: '60' });
    expect(numbers.closed).toBe(true);
    expect(painted?.differingBytes).toBe(0);
    expect(laid?.images?.differingBytes ?? 0).toBe(0);
  });

  it('hold what lies in the middle of a turn once, and miss what is taken from them', () => {
    const corner: SomePiece = { shape: disc('2'), x: '0', y: '0' };
    const unit = compileUnit(motifOf([corner], { lay: { kind: 'group', group: 'p6mm', way: 'across' } }));
    expect(unit.content.marks).toHaveLength(2);
    expect(missesOfMotif(unit)).toBe(0);
    const { content } = unit;
    expect(
      missesOfMotif({ ...unit, content: { ...content, marks: content.marks.slice(1) } }),
    ).toBeGreaterThan(0);
  });

  it('lie over each other by rows after a turn as they did before', () => {
    const scales = motifOf([{ shape: disc('8'), outline: OUTLINE }], {
      lay: { kind: 'brick', by: '1/2' },
      box: { width: '8', height: '4' },
      overlap: 'down',
    });
    const turned = { ...scales, lay: { ...scales.lay, slope: { up: 1, across: 1, asked: null } } };
    const { painted, numbers } = checkDesign(turned, { resolution: '60' });
    expect([numbers.closed, painted?.differingBytes]).toEqual([true, 0]);
    const unit = compile(turned);
    const rows = unit.content.kind === 'marks' ? unit.content.rows : undefined;
    // Lower rows lie on top, two a repeat: a new repeat upward is one up and one across, one to the right is one down.
    expect(rows).toEqual({ up: -2, right: 2 });
  });
});

const OUTLINE = { width: '1/4', shade: 'R', side: 'inside', ends: 'round', dashes: null } as const;
