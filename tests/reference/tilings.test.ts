import { describe, expect, it } from 'vitest';
import { rgbOf } from '../../src/core/colour/hex.ts';
import { BYTE_OF_LINEAR, LINEAR_OF_BYTE } from '../../src/core/colour/linear.ts';
import { checkDesign } from '../../src/core/design/check-design.ts';
import { compile } from '../../src/core/design/compile-design.ts';
import { newTiling } from '../../src/core/design/new-design.ts';
import { readDesign } from '../../src/core/design/read-design.ts';
import { tilingFacts } from '../../src/core/design/tiling/tiling-facts.ts';
import { TILING_STARTS, tilingFromStart } from '../../src/core/design/tiling/tiling-starts.ts';
import { cellArea } from '../../src/core/exact/lattice.ts';
import { rational } from '../../src/core/exact/rational.ts';
import { compareSurds, root, surd, surdToNumber } from '../../src/core/exact/surd.ts';
import { surdText } from '../../src/core/exact/surd-text.ts';
import { checkPartition, type TorusFaces } from '../../src/core/faces/check-partition.ts';
import { foldTiling } from '../../src/core/faces/torus.ts';
import { paintTile } from '../../src/core/paint/painting.ts';
import { byNeighbours } from '../../src/core/tiling/colourings.ts';
import { dualOf } from '../../src/core/tiling/dual.ts';
import { ARCHIMEDEAN, type Archimedean } from '../../src/core/tiling/forms/archimedean.ts';
import { keptOneOf, planeSymmetry } from '../../src/core/tiling/symmetry.ts';
import { buildTiling } from '../../src/core/tiling/tiling-form.ts';

const SHADES = [
  { key: 'A', name: 'Dark', hex: '#203040' },
  { key: 'B', name: 'Light', hex: '#f0e8d0' },
  { key: 'C', name: 'Red', hex: '#a03020' },
  { key: 'D', name: 'Green', hex: '#308050' },
];

describe('the eleven tilings (B. Grünbaum, G. C. Shephard, Tilings and Patterns, 1987, ch. 2; from memory)', () => {
  it.each<[Archimedean, number, number, number, string, string]>([
    ['3.3.3.3.3.3', 1, 3, 2, '3 3', '√3/2'],
    ['4.4.4.4', 1, 2, 1, '4', '1'],
    ['6.6.6', 2, 3, 1, '6', '3√3/2'],
    ['3.3.3.3.6', 6, 15, 9, '3 3 3 3 3 3 3 3 6', '7√3/2'],
    ['3.3.3.4.4', 2, 5, 3, '3 3 4', '1 + √3/2'],
    ['3.3.4.3.4', 4, 10, 6, '3 3 3 3 4 4', '2 + √3'],
    ['3.4.6.4', 6, 12, 6, '3 3 4 4 4 6', '3 + 2√3'],
    ['3.6.3.6', 3, 6, 3, '3 3 6', '2√3'],
    ['3.12.12', 6, 9, 3, '3 3 12', '6 + 7√3/2'],
    ['4.6.12', 12, 18, 6, '4 4 4 6 6 12', '9 + 6√3'],
    ['4.8.8', 4, 6, 2, '4 8', '3 + 2√2'],
  ])('%s has %i vertices, %i edges, %i faces in a cell', (name, vertices, edges, faces, kinds, area) => {
    const tiling = buildTiling(ARCHIMEDEAN[name]);
    expect(checkPartition(foldTiling(tiling))).toMatchObject({ vertices, edges, faces, closed: true });
    expect(surdText(cellArea(tiling.lattice))).toBe(area);
    const sides = tiling.faces.map((corners) => corners.length).sort((a, b) => a - b);
    expect(sides.join(' ')).toBe(kinds);
  });

  it('their duals have as many faces as corners: Cairo pentagons 4, kites 6, triangles of 4.8.8 four', () => {
    const sides = (name: Archimedean) =>
      tilingFacts(newTiling({ name, shades: SHADES, form: { kind: 'regular', name }, dual: true }))
        .configurations;
    expect(sides('3.3.4.3.4')).toEqual(['5.5.5', '5.5.5.5']);
    expect(sides('3.6.3.6')).toEqual(['4.4.4', '4.4.4.4.4.4']);
    expect(sides('4.8.8')).toEqual(['3.3.3.3', '3.3.3.3.3.3.3.3']);
  });
});

describe('plane groups (International Tables for Crystallography, vol. A; from memory)', () => {
  it.each<[Archimedean, string]>([
    ['3.3.3.3.3.3', 'p6mm'],
    ['4.4.4.4', 'p4mm'],
    ['6.6.6', 'p6mm'],
    ['3.3.3.3.6', 'p6'],
    ['3.3.3.4.4', 'c2mm'],
    ['3.3.4.3.4', 'p4gm'],
    ['3.4.6.4', 'p6mm'],
    ['3.6.3.6', 'p6mm'],
    ['3.12.12', 'p6mm'],
    ['4.6.12', 'p6mm'],
    ['4.8.8', 'p4mm'],
  ])('%s and its dual have %s', (name, group) => {
    const tiling = buildTiling(ARCHIMEDEAN[name]);
    expect(planeSymmetry(tiling, () => '')?.group).toBe(group);
    expect(planeSymmetry(dualOf(tiling), () => '')?.group).toBe(group);
  });

  it('colours break symmetry: three tones of cubes leave p2, three of hexagons p3m1', () => {
    const facts = (key: string) => tilingFacts(tilingFromStart(key));
    expect(facts('cubes')).toMatchObject({ symmetry: { group: 'p6mm' }, colouredSymmetry: { group: 'p2' } });
    expect(facts('6.6.6')).toMatchObject({
      symmetry: { group: 'p6mm' },
      colouredSymmetry: { group: 'p3m1' },
    });
    // Three shades that all symmetries carry onto each other stand in 3! ways: one symmetry of six keeps them.
    for (const start of ['cubes', '6.6.6']) {
      const { symmetry, colouredSymmetry } = facts(start);
      expect(keptOneOf(symmetry!, colouredSymmetry!)).toBe(6);
    }
    expect(facts('4.8.8')).toMatchObject({
      symmetry: { group: 'p4mm' },
      colouredSymmetry: { group: 'p4mm' },
    });
  });
});

/** Vertices at each number of edges from one, by walking outward on the plane. */
function coordination(torus: TorusFaces, shells: number): number[] {
  const edges = torus.vertices.map((): [number, number, number][] => []);
  for (const { corners } of torus.faces) {
    corners.forEach((from, at) => {
      const to = corners[(at + 1) % corners.length]!;
      edges[from.vertex]!.push([to.vertex, to.across - from.across, to.up - from.up]);
      edges[to.vertex]!.push([from.vertex, from.across - to.across, from.up - to.up]);
    });
  }
  let shell: [number, number, number][] = [[0, 0, 0]];
  const seen = new Set(['0 0 0']);
  const counts = [1];
  for (let step = 1; step <= shells; step += 1) {
    const next: [number, number, number][] = [];
    for (const [vertex, x, y] of shell) {
      for (const [to, dx, dy] of edges[vertex]!) {
        const name = `${to} ${x + dx} ${y + dy}`;
        if (seen.has(name)) continue;
        seen.add(name);
        next.push([to, x + dx, y + dy]);
      }
    }
    counts.push(next.length);
    shell = next;
  }
  return counts;
}

describe('coordination sequences (On-Line Encyclopedia of Integer Sequences; from memory)', () => {
  it.each<[Archimedean, string, number[]]>([
    ['4.4.4.4', 'A008574', [1, 4, 8, 12, 16, 20, 24]],
    ['3.3.3.3.3.3', 'A008458', [1, 6, 12, 18, 24, 30, 36]],
    ['6.6.6', 'A008486', [1, 3, 6, 9, 12, 15, 18]],
    ['4.8.8', 'A008576', [1, 3, 5, 8, 11, 13, 16]],
  ])('of %s is %s', (name, _, expected) => {
    expect(coordination(foldTiling(buildTiling(ARCHIMEDEAN[name])), 6)).toEqual(expected);
  });
});

describe('roots as Archimedes had them (T. L. Heath, The Works of Archimedes, 1897)', () => {
  it('265/153 < √3 < 1351/780', () => {
    const three = root(rational(1), 3);
    expect(compareSurds(surd(rational(265, 153)), three)).toBe(-1);
    expect(compareSurds(three, surd(rational(1351, 780)))).toBe(-1);
  });
});

describe('fewest shades that keep neighbours apart (common practice: 6.6.6 needs 3, 4.4.4.4 and 3.6.3.6 need 2)', () => {
  it.each<[Archimedean, number]>([
    ['6.6.6', 3],
    ['4.4.4.4', 2],
    ['3.6.3.6', 2],
  ])('%s: %i', (name, shades) => {
    const tiling = buildTiling(ARCHIMEDEAN[name]);
    expect(byNeighbours(tiling, foldTiling(tiling))!.classes).toBe(shades);
  });
});

describe('every tiling that is offered', () => {
  it.each(TILING_STARTS.map(({ key }) => key))(
    '%s repeats, in numbers and painted; no ground shows',
    (key) => {
      const design = readDesign(JSON.parse(JSON.stringify(tilingFromStart(key))));
      const report = checkDesign({ ...design, resolution: '50' });
      expect(report.numbers.closed).toBe(true);
      expect(report.painted).toMatchObject({ differingBytes: 0, leakingPixels: 0 });
      expect(report.verdict).not.toBe('Open');
      // Every pixel is opaque and lies between the shades in every channel of light: nothing else comes in.
      const tile = report.pixels.fits[0]!;
      const bytes = paintTile(compile(design), tile);
      const lights = design.shades.map(({ hex }) => rgbOf(hex).map((byte) => LINEAR_OF_BYTE[byte]!));
      for (let channel = 0; channel < 3; channel += 1) {
        const of = lights.map((light) => light[channel]!);
        const [low, high] = [BYTE_OF_LINEAR[Math.min(...of)]!, BYTE_OF_LINEAR[Math.max(...of)]!];
        for (let at = channel; at < bytes.length; at += 4) {
          if (bytes[at]! < low || bytes[at]! > high)
            throw new Error(`${bytes[at]} is not of ${low} … ${high}`);
        }
      }
      expect(bytes.filter((_, at) => at % 4 === 3).every((alpha) => alpha === 255)).toBe(true);
    },
  );

  it('of sides of 20 mm, hexagons are 20√3 across their flats', () => {
    const { pitch } = compile(
      newTiling({ name: 'Hexagons', shades: SHADES, form: { kind: 'regular', name: '6.6.6' } }),
    );
    expect([surdText(pitch.x), surdText(pitch.y)]).toEqual(['60', '20√3']);
    expect(surdToNumber(pitch.y)).toBeCloseTo(34.641016, 6);
  });
});
