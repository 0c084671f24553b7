import { describe, expect, it } from 'vitest';
import { compile } from '../../design/compile-design.ts';
import type { Design } from '../../design/design-schema.ts';
import type { Arrangement } from '../../design/lay/lay-schema.ts';
import { designFromStart } from '../../design/starts.ts';
import { surdToNumber } from '../../exact/surd.ts';
import { paintRoll } from '../../paint/paint-roll.ts';
import { paintTile } from '../../paint/painting.ts';
import { closeNumbers } from '../contents.ts';
import { repeatSize } from '../repeat-unit.ts';

const start = designFromStart('plies', 'crossed-stripes');
const diamonds = designFromStart('plies', 'diamonds-in-gaps');

function laid(arrangement: Arrangement, slope: Design['lay']['slope'] = null): Design {
  return { ...start, lay: { ...start.lay, arrangement, slope } };
}

const sizeOf = (design: Design) => surdToNumber(repeatSize(compile(design))!.width);

describe('plies that are laid', () => {
  it.each<[string, Design]>([
    ['half-drop', laid({ kind: 'half-drop', by: '1/2' })],
    ['brick by a third', laid({ kind: 'brick', by: '1/3' })],
    ['mirrored', laid({ kind: 'group', group: 'p2mm', way: 'across' })],
    ['by quarter turns', laid({ kind: 'group', group: 'p4', way: 'across' })],
    ['turned', laid({ kind: 'straight' }, { up: 3, across: 4, asked: null })],
    [
      'with fades, turned',
      { ...diamonds, lay: { ...diamonds.lay, slope: { up: 1, across: 2, asked: null } } },
    ],
  ])('%s close, and are painted without a seam', (_, design) => {
    const unit = compile(design);
    expect(unit.content.kind).toBe('plies');
    expect(closeNumbers(unit).closed).toBe(true);
    expect(paintRoll(unit, { width: 60, height: 60 })).toMatchObject({ differingBytes: 0 });
  });

  it('in half-drop by a half come again after two columns, each moved by half a box', () => {
    const straight = compile(start);
    const dropped = compile(laid({ kind: 'half-drop', by: '1/2' }));
    expect(surdToNumber(repeatSize(dropped)!.width)).toBe(2 * sizeOf(start));
    const tile = paintTile(dropped, { width: 80, height: 40 });
    const one = paintTile(straight, { width: 40, height: 40 });
    const pixel = (bytes: Uint8ClampedArray | Uint8Array, width: number, x: number, y: number) => [
      ...bytes.subarray(4 * (y * width + x), 4 * (y * width + x) + 4),
    ];
    for (const [x, y] of [
      [3, 5],
      [20, 11],
      [31, 30],
    ] as const) {
      expect(pixel(tile, 80, x, y)).toEqual(pixel(one, 40, x, y));
      expect(pixel(tile, 80, x + 40, (y + 20) % 40)).toEqual(pixel(one, 40, x, y));
    }
  });

  it('are told where a fade would have to be another in each copy', () => {
    const { lay } = diamonds;
    const dropped: Arrangement = { kind: 'half-drop', by: '1/2' };
    expect(() => compile({ ...diamonds, lay: { ...lay, arrangement: dropped } })).toThrow('lay/copied-fade');
  });

  it('keep how they lie over each other: scale, blend, strength and clip', () => {
    const scales = designFromStart('plies', 'fade-in-scales');
    const unit = compile({
      ...scales,
      lay: { ...scales.lay, arrangement: { kind: 'half-drop', by: '1/2' } },
    });
    expect(unit.content).toMatchObject({
      plies: [{ clip: null }, { blend: 'normal', shown: true }, { clip: 1 }],
    });
  });
});
