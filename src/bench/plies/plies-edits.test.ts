import { describe, expect, it } from 'vitest';
import { USUAL_PLY } from '../../core/design/plies/lay-over.ts';
import type { PliesSpec } from '../../core/design/plies/plies-schema.ts';
import { movedPly, withoutPly, withPlyTwice } from './plies-edits.ts';

/** Plies of one shade each, by their letters; a number after one is the ply that it is clipped to. */
function plies(text: string): PliesSpec {
  return {
    kind: 'plies',
    plies: text.split(' ').map((ply) => ({
      ...USUAL_PLY,
      content: { kind: 'shade', shade: ply.charAt(0) },
      clip: ply.length === 1 ? null : Number(ply.slice(1)),
    })),
  };
}

const textOf = (list: PliesSpec['plies']) =>
  list.map(({ content, clip }) => `${content.kind === 'shade' ? content.shade : ''}${clip ?? ''}`).join(' ');

describe('plies in another order', () => {
  it.each([
    ['A B C0', 0, 2, 'B C2 A'],
    ['A B C0', 2, 0, 'C1 A B'],
    ['A2 B C0', 1, 1, 'A2 B C0'],
    ['A B1 C D1', 1, 3, 'A C D3 B3'],
  ])('%s: from %i to %i is %s', (before, from, to, after) => {
    expect(textOf(movedPly(plies(before), from, to))).toBe(after);
  });

  it.each([
    ['A B C0 D1', 1, 'A C0 D'],
    ['A B C0 D2', 0, 'B C D1'],
  ])('%s without ply %i is %s', (before, gone, after) => {
    expect(textOf(withoutPly(plies(before), gone))).toBe(after);
  });

  it('one of them is there twice, and what was clipped stays so', () => {
    expect(textOf(withPlyTwice(plies('A B C1 D2'), 1))).toBe('A B B C1 D3');
  });
});
