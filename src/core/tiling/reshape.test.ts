import { describe, expect, it } from 'vitest';
import { uprightRepeat } from '../exact/lattice.ts';
import { rational } from '../exact/rational.ts';
import { scaleSurd } from '../exact/surd.ts';
import { surdText } from '../exact/surd-text.ts';
import { acrossCorners, acrossFlats } from '../faces/across.ts';
import { checkPartition } from '../faces/check-partition.ts';
import { foldTiling } from '../faces/torus.ts';
import { ARCHIMEDEAN, type Archimedean } from './forms/archimedean.ts';
import { triangles } from './forms/families.ts';
import { levelDiagonal, mapTiling, shear, stretch } from './reshape.ts';
import { buildTiling, type Tiling } from './tiling-form.ts';

function sizeOf(tiling: Tiling): readonly string[] | undefined {
  const repeat = uprightRepeat(tiling.lattice);
  return repeat && [surdText(repeat.width), surdText(repeat.height)];
}

const built = (name: Archimedean) => buildTiling(ARCHIMEDEAN[name]);

describe('a tiling reshaped', () => {
  it('in its heights stays closed and repeats as high', () => {
    const tiling = mapTiling(built('6.6.6'), stretch(rational(3, 4)));
    expect(checkPartition(foldTiling(tiling)).closed).toBe(true);
    const { width, height } = uprightRepeat(built('6.6.6').lattice)!;
    expect(sizeOf(tiling)).toEqual([surdText(width), surdText(scaleSurd(height, rational(3, 4)))]);
  });

  it.each([
    ['4.4.4.4', 1, 3, ['1', '3']],
    ['4.8.8', 1, 2, ['1 + √2', '2 + 2√2']],
  ] as const)('%s leaning by %i/%i of its width comes round after so many repeats', (name, n, d, size) => {
    const plain = built(name);
    const tiling = mapTiling(plain, shear(plain.lattice, rational(n, d))!);
    expect(sizeOf(tiling)).toEqual(size);
    expect(checkPartition(foldTiling(tiling)).closed).toBe(true);
  });

  it.each([
    // The diagonal 3 across, 4 up is 5 long.
    ['4.4.4.4', 4, 3, ['5', '5']],
    ['4.4.4.4', 1, 1, ['√2', '√2']],
    // Hexagons: a repeat of 1 × √3, so the diagonal is 2 of the smaller.
    ['3.3.3.3.3.3', 1, 1, ['1', '√3']],
    ['4.4.4.4', 0, 1, ['1', '1']],
  ] as const)('%s with the diagonal %i/%i level', (name, up, across, size) => {
    const plain = built(name);
    const tiling = mapTiling(plain, levelDiagonal(plain.lattice, rational(up, across))!);
    expect(sizeOf(tiling)).toEqual(size);
    expect(checkPartition(foldTiling(tiling)).closed).toBe(true);
  });

  it('says that there is no diagonal where the square of the repeat’s ratio is no fraction', () => {
    const tiling = mapTiling(built('3.3.3.4.4'), stretch(rational(1)));
    expect(levelDiagonal(tiling.lattice, rational(1))).toBeUndefined();
    const leaning = buildTiling(triangles(rational(1), rational(1, 2)));
    expect(levelDiagonal(leaning.lattice, rational(1, 2))).toBeDefined();
  });
});

describe('widths of faces', () => {
  it.each([
    ['4.4.4.4', '1', '√2'],
    ['6.6.6', '√3', '2'],
    ['4.8.8', '1 + √2', undefined],
    ['3.12.12', '2 + √3', '√2 + √6'],
  ] as const)('%s is %s across its flats and %s across its corners', (name, flats, corners) => {
    const most = built(name).faces.reduce((best, face) => (face.length > best.length ? face : best));
    expect(surdText(acrossFlats(most)!)).toBe(flats);
    const across = acrossCorners(most);
    expect(across && surdText(across)).toBe(corners);
  });
});
