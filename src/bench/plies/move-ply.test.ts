import { describe, expect, it } from 'vitest';
import type { PlyReport } from '../../core/design/plies/plies-report.ts';
import { rational } from '../../core/exact/rational.ts';
import { root, type Surd, surd } from '../../core/exact/surd.ts';
import { movedTo } from './move-ply.ts';

/** A square ply that goes so often into the repeat of all. */
function ply(side: Surd, times: number): PlyReport {
  return {
    name: 'Any',
    size: { width: side, height: side },
    lattice: [
      { x: side, y: surd(0) },
      { x: surd(0), y: side },
    ],
    times: { across: times, down: times },
    shift: { x: surd(0), y: surd(0) },
    step: { x: surd(rational(5, 2)), y: surd(rational(5, 2)) },
    gap: { x: '1/2', y: '1/2' },
  };
}

const VIEW = { perMillimetre: 4, free: false };
const LENGTH = { in: 'length', x: '0', y: '0' } as const;

describe('a ply that is dragged', () => {
  it('is held by halves, thirds and quarters of what all have in common', () => {
    const at = (x: number, y: number) => movedTo(LENGTH, { x, y }, ply(surd(12), 5), VIEW);
    expect(at(30.9, 19.2)).toEqual({
      shift: { in: 'length', x: '30', y: '20' },
      on: ['at a half of all', 'at a third of all'],
    });
    expect(at(-14.6, 0.7)).toEqual({
      shift: { in: 'length', x: '-15', y: '0' },
      on: ['at a quarter of all', 'at the corner'],
    });
  });

  it('goes by tenths of a millimetre elsewhere, and by hundredths where nothing holds it', () => {
    const to = { x: 7.4321, y: 0.333 };
    expect(movedTo(LENGTH, to, ply(surd(12), 5), VIEW).shift).toMatchObject({ x: '37/5', y: '0' });
    const free = movedTo(LENGTH, to, ply(surd(12), 5), { ...VIEW, free: true });
    expect(free).toEqual({ shift: { in: 'length', x: '743/100', y: '33/100' }, on: [undefined, undefined] });
  });

  it('is counted in its repeats where a part of an irrational one holds it', () => {
    const side = root(rational(10), 2);
    const moved = movedTo(LENGTH, { x: 14, y: 3.2 }, ply(side, 2), VIEW);
    expect(moved.shift).toEqual({ in: 'repeats', x: '1', y: '23/100' });
  });

  it('goes by whole threads or steps where it is counted in them', () => {
    const steps = { in: 'steps', x: '0', y: '0' } as const;
    const moved = movedTo(steps, { x: 7.4, y: -5.1 }, ply(surd(12), 5), VIEW);
    expect(moved).toEqual({ shift: { in: 'steps', x: '3', y: '-2' }, on: [] });
  });

  it('in repeats is held by fractions that are exact', () => {
    const repeats = { in: 'repeats', x: '0', y: '0' } as const;
    const moved = movedTo(repeats, { x: 20.1, y: 5 }, ply(surd(12), 5), VIEW);
    expect(moved.shift).toEqual({ in: 'repeats', x: '5/3', y: '21/50' });
  });
});
