import { describe, expect, it } from 'vitest';
import { rational } from '../exact/rational.ts';
import { surdText } from '../exact/surd-text.ts';
import { ARCHIMEDEAN } from '../tiling/forms/archimedean.ts';
import { buildTiling } from '../tiling/tiling-form.ts';
import { starRays } from './star-rays.ts';

function faceOf(config: keyof typeof ARCHIMEDEAN, sides: number) {
  return buildTiling(ARCHIMEDEAN[config]).faces.find(({ length }) => length === sides)!;
}

const NONE = rational(0);

describe('star lines of a face', () => {
  it('go from middle to middle, one round each corner', () => {
    const lines = starRays(faceOf('4.8.8', 8), { degrees: rational(135, 2), apart: NONE });
    expect(lines).toHaveLength(8);
    lines.forEach((line, at) => {
      expect(line).toHaveLength(3);
      expect(line[2]!.place.x).toBeCloseTo(lines[(at + 1) % 8]![0]!.place.x, 12);
    });
  });

  it.each([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11])('leave a side at %i times 7.5°, exactly', (steps) => {
    const degrees = rational(15 * steps, 2);
    for (const line of starRays(faceOf('4.4.4.4', 4), { degrees, apart: NONE })) {
      const [from, to] = line as [(typeof line)[0], (typeof line)[0]];
      expect(to!.exact).toBeDefined();
      const dx = Math.abs(to!.place.x - from!.place.x);
      const dy = Math.abs(to!.place.y - from!.place.y);
      // The sides of the square lie level and upright.
      const angle = (Math.atan2(dy, dx) * 180) / Math.PI;
      expect(Math.min(Math.abs(angle - 7.5 * steps), Math.abs(90 - angle - 7.5 * steps))).toBeLessThan(1e-9);
    }
  });

  it('meet in a root where a root is due: a square at 60°', () => {
    const [line] = starRays(faceOf('4.4.4.4', 4), { degrees: rational(60), apart: NONE });
    const { x, y } = line![1]!.exact!;
    // In a triangle of 60° and 45° on half a side, 1 − sin 60° · cos 45° / (2 · sin 75°) across, as far from 1 up.
    expect([surdText(x), surdText(y)].map((text) => text.replaceAll(' ', ''))).toEqual([
      '1/4+√3/4',
      '3/4−√3/4',
    ]);
  });

  it('are doubles at other angles, and start apart as they are told', () => {
    const face = faceOf('4.4.4.4', 4);
    const [line] = starRays(face, { degrees: rational(50), apart: rational(1, 2) });
    expect(line![1]!.exact).toBeUndefined();
    const [next] = starRays(face, { degrees: rational(50), apart: NONE });
    expect(
      Math.hypot(line![0]!.place.x - next![0]!.place.x, line![0]!.place.y - next![0]!.place.y),
    ).toBeCloseTo(0.25, 12);
  });

  it('are joined straight where they run along each other: a triangle at 60°', () => {
    const lines = starRays(faceOf('3.12.12', 3), { degrees: rational(60), apart: NONE });
    expect(lines.map(({ length }) => length)).toEqual([2, 2, 2]);
  });
});
