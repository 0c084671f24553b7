import { describe, expect, it } from 'vitest';
import { rational } from '../exact/rational.ts';
import { surdToNumber } from '../exact/surd.ts';
import { surdText } from '../exact/surd-text.ts';
import type { LinePath } from '../shape/shape.ts';
import { byFace } from '../tiling/colourings.ts';
import { ARCHIMEDEAN, type Archimedean } from '../tiling/forms/archimedean.ts';
import { bricks } from '../tiling/forms/families.ts';
import { buildTiling, type TilingForm } from '../tiling/tiling-form.ts';
import { layUpright, partitionOf } from '../tiling/upright-partition.ts';
import { faceLines, type LineWish, sideKinds } from './face-lines.ts';

const SHADES = Array.from({ length: 40 }, (_, at) => ({ key: 'A', name: `${at}`, hex: '#000000' }));

/** Lines over one upright repeat, and how long that is each way. */
function linesOver(form: TilingForm, wish: Partial<LineWish>) {
  const tiling = buildTiling(form);
  const laid = layUpright(tiling, byFace(tiling));
  const pitch = { x: surdToNumber(laid.width), y: surdToNumber(laid.height) };
  const all: LineWish = { what: 'sides', of: null, dashes: null, skip: 1, every: 1, first: 0, ...wish };
  return { paths: faceLines(partitionOf(laid, SHADES), all, { pitch }), pitch };
}

const over = (name: Archimedean, wish: Partial<LineWish>) => linesOver(ARCHIMEDEAN[name], wish);

function lengthOf({ points, closed }: LinePath, pitch: { x: number; y: number }): number {
  return points.reduce((sum, point, at) => {
    const next = points[at + 1] ?? (closed ? points[0] : undefined);
    if (next === undefined) return sum;
    const [x, y] = [
      surdToNumber(next.x) - surdToNumber(point.x),
      surdToNumber(next.y) - surdToNumber(point.y),
    ];
    return sum + Math.hypot(x * pitch.x, y * pitch.y);
  }, 0);
}

describe('kinds of sides', () => {
  it.each<[Archimedean, readonly string[]]>([
    ['4.4.4.4', ['4|4']],
    ['3.6.3.6', ['3|6']],
    ['4.8.8', ['4|8', '8|8']],
    ['3.4.6.4', ['3|4', '4|6']],
    ['3.3.3.4.4', ['3|3', '3|4', '4|4']],
    ['4.6.12', ['4|6', '4|12', '6|12']],
  ])('of %s are %j', (name, kinds) => {
    const tiling = buildTiling(ARCHIMEDEAN[name]);
    const partition = partitionOf(layUpright(tiling, byFace(tiling)), SHADES);
    expect(sideKinds(partition)).toEqual(kinds);
  });
});

describe('lines along sides', () => {
  it('are each side by itself where three or more meet at narrow angles', () => {
    // An upright repeat of hexagons has two cells, three sides each.
    const { paths } = over('6.6.6', {});
    expect(paths).toHaveLength(6);
    expect(paths.every(({ points, closed }) => points.length === 2 && !closed)).toBe(true);
  });

  it('are closed round faces that have no other such side at their corners', () => {
    const { paths, pitch } = over('3.12.12', { of: '3|12' });
    // Two triangles a cell, two cells.
    expect(paths).toHaveLength(4);
    for (const path of paths) {
      expect(path.closed).toBe(true);
      expect(path.points).toHaveLength(3);
      expect(lengthOf(path, pitch)).toBeCloseTo(3, 9);
    }
  });

  it('that never end go round the torus, and on for one side more', () => {
    // Rows of squares: the sides between squares and triangles make level lines.
    const { paths, pitch } = over('3.3.3.4.4', { of: '3|4' });
    expect(paths.length).toBeGreaterThan(0);
    for (const path of paths) {
      expect(path.closed).toBe(false);
      expect(lengthOf(path, pitch)).toBeCloseTo(pitch.x + 1, 9);
      expect(new Set(path.points.map(({ y }) => surdText(y))).size).toBe(1);
    }
  });

  it('have all sides of a kind, each once', () => {
    const { paths, pitch } = over('4.8.8', { of: '8|8' });
    expect(paths).toHaveLength(2);
    expect(paths.reduce((sum, path) => sum + lengthOf(path, pitch), 0)).toBeCloseTo(2, 9);
    expect(over('4.8.8', { of: '6|6' }).paths).toEqual([]);
  });
});

describe('dashes', () => {
  it('are whole ones, so many a side, each in the middle of its place', () => {
    const { paths } = over('4.4.4.4', { dashes: { count: 2, share: rational(1, 2) } });
    const texts = paths.map(({ points }) =>
      points.map(({ x, y }) => `${surdText(x)} ${surdText(y)}`).join(' to '),
    );
    expect(texts).toEqual(['1/8 0 to 3/8 0', '5/8 0 to 7/8 0', '1 1/8 to 1 3/8', '1 5/8 to 1 7/8']);
  });

  it('are as long together as their share of the lines', () => {
    const share = rational(2, 3);
    for (const what of ['sides', 'spokes', 'rays', 'stars'] as const) {
      const whole = over('3.4.6.4', { what });
      const broken = over('3.4.6.4', { what, dashes: { count: 5, share } });
      const all = (lines: typeof whole) =>
        lines.paths.reduce((sum, path) => sum + lengthOf(path, lines.pitch), 0);
      // Lines that go round the torus are longer by what they lie over themselves.
      if (what !== 'sides') expect(all(broken) / all(whole)).toBeCloseTo(2 / 3, 9);
      expect(broken.paths.every(({ points }) => points.length === 2)).toBe(true);
    }
  });
});

describe('lines in faces', () => {
  it.each([
    ['spokes', 6 * 2],
    ['rays', 6 * 2],
  ] as const)('%s go to each corner or side', (what, count) => {
    expect(over('6.6.6', { what }).paths).toHaveLength(count);
  });

  it.each([
    // Hexagons: one ring, two triangles, three lines across; nothing where each middle meets itself.
    [1, 1, 6],
    [2, 2, 3],
    [3, 3, 2],
    [6, 0, 0],
    [4, 2, 3],
  ])('stars that skip to the %ith have %i lines of %i points', (skip, lines, points) => {
    const { paths } = over('6.6.6', { what: 'stars', skip });
    expect(paths).toHaveLength(lines * 2);
    expect(paths.every((path) => path.points.length === points)).toBe(true);
  });

  it('are drawn only in the faces that are wished', () => {
    expect(over('4.8.8', { what: 'spokes', of: '4' }).paths).toHaveLength(4);
    expect(over('4.8.8', { what: 'spokes', of: '8' }).paths).toHaveLength(8);
    expect(over('4.8.8', { what: 'spokes', of: '5' }).paths).toHaveLength(0);
  });

  it('count corners that lie on a side of a brick', () => {
    const form = bricks(rational(1, 2), rational(1, 3));
    expect(linesOver(form, { what: 'spokes', of: '6' }).paths).toHaveLength(3 * 6);
  });
});
