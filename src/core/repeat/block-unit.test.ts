import { describe, expect, it } from 'vitest';
import { SAMPLE, sampleDesign } from '../../../tests/sample-design.ts';
import { compile } from '../design/compile-design.ts';
import { newTiling } from '../design/new-design.ts';
import { paintTile } from '../paint/painting.ts';
import { blockUnit, isBlock } from './block-unit.ts';
import { closeNumbers } from './contents.ts';
import type { RepeatUnit } from './repeat-unit.ts';

const SHADES = [
  { key: 'A', name: 'Ink', hex: '#102030' },
  { key: 'B', name: 'Sand', hex: '#d8b070' },
  { key: 'C', name: 'Rust', hex: '#a03020' },
];

const TILING = newTiling({
  name: 'x',
  shades: SHADES,
  faces: ['A', 'B'],
  form: { kind: 'regular', name: '4.8.8' },
  size: '20mm',
});

const UNITS: readonly (readonly [string, RepeatUnit])[] = [
  ['cells', compile(sampleDesign(SAMPLE))],
  ['faces', compile(TILING)],
  [
    'layers',
    compile({
      ...TILING,
      construction: {
        ...TILING.construction,
        fade: { shades: ['A', 'C'], angle: 3, turned: false, of: '8' },
        gaps: { by: '1mm', corner: '2mm', shade: 'C' },
        lines: [
          {
            what: 'sides',
            of: null,
            width: '0.7mm',
            shade: 'B',
            ends: 'round',
            dashes: null,
            skip: 1,
            every: 1,
            first: 0,
          },
        ],
      },
    }),
  ],
];

describe('a block of repeats', () => {
  it.each(UNITS)('of %s is proven as one, and painted as its repeats are', (_, unit) => {
    const block = { across: 3, down: 2 };
    const tile = { width: 48, height: 48 };
    const one = new Uint32Array(paintTile(unit, tile).buffer);
    const many = blockUnit(unit, block);
    expect(closeNumbers(many).closed).toBe(true);
    const all = new Uint32Array(paintTile(many, { width: 144, height: 96 }).buffer);
    const expected = Uint32Array.from(
      { length: 144 * 96 },
      (_, at) => one[(Math.floor(at / 144) % 48) * 48 + (at % 48)]!,
    );
    expect(all).toEqual(expected);
  });

  it('has a limit', () => {
    expect(isBlock(UNITS[0]![1], { across: 3, down: 2 })).toBe(true);
    expect(isBlock(UNITS[0]![1], { across: 5000, down: 1 })).toBe(false);
    expect(isBlock(UNITS[1]![1], { across: 100, down: 1000 })).toBe(false);
  });
});
