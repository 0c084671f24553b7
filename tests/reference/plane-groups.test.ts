import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { analyze_cell, initSync, type MoyoCell } from '@spglib/moyo-wasm';
import { beforeAll, describe, expect, it } from 'vitest';
import { colouringOf } from '../../src/core/design/tiling/colouring-of.ts';
import { tilingOf } from '../../src/core/design/tiling/shape-of-tiling.ts';
import { tilingFacts } from '../../src/core/design/tiling/tiling-facts.ts';
import { TILING_STARTS, tilingFromStart } from '../../src/core/design/tiling/tiling-starts.ts';
import { reduce } from '../../src/core/exact/lattice.ts';
import { addPoints, middleOf, scalePoint, subtractPoints } from '../../src/core/exact/plane.ts';
import { rational } from '../../src/core/exact/rational.ts';
import { surd, surdToNumber } from '../../src/core/exact/surd.ts';
import { surdText } from '../../src/core/exact/surd-text.ts';
import { foldTiling } from '../../src/core/faces/torus.ts';
import { dualOf } from '../../src/core/tiling/dual.ts';
import { ARCHIMEDEAN, type Archimedean } from '../../src/core/tiling/forms/archimedean.ts';
import {
  basket,
  bricks,
  herringbone,
  hexagons,
  hexagonsAndTriangles,
  kites,
  octagons,
  parallelograms,
  pentagons,
  rhombus,
  rows,
  triangles,
  twoSquares,
} from '../../src/core/tiling/forms/families.ts';
import { TWO_KINDS } from '../../src/core/tiling/forms/two-kinds.ts';
import type { PlaneGroup } from '../../src/core/tiling/plane-group.ts';
import { mapTiling, stretch } from '../../src/core/tiling/reshape.ts';
import { keptOneOf, planeSymmetry } from '../../src/core/tiling/symmetry.ts';
import { buildTiling, type Tiling, type TilingForm } from '../../src/core/tiling/tiling-form.ts';

/**
 * The space group of a plane pattern that goes on upward unchanged: its plane group with a mirror across the axis.
 * Source: International Tables for Crystallography, vol. A, the projections along the axis; from memory.
 */
const SPACE_GROUPS: Readonly<Record<PlaneGroup, number>> = {
  p1: 6,
  p2: 10,
  pm: 25,
  pg: 26,
  cm: 38,
  p2mm: 47,
  p2mg: 51,
  p2gg: 55,
  c2mm: 65,
  p4: 83,
  p4mm: 123,
  p4gm: 127,
  p3: 174,
  p3m1: 187,
  p31m: 189,
  p6: 175,
  p6mm: 191,
};

/** How high a layer is: as no length in a plane of such sides is, so that no axis lies in it. */
const HEIGHT = 0.7315;

/** A tiling as a crystal: an atom for each corner of each face, pulled toward its middle, of a kind for each kind of face. */
function crystalOf({ lattice, faces }: Tiling, kindOf: (face: number) => number): MoyoCell {
  const atoms = faces.flatMap((corners, face) => {
    const middle = middleOf(corners);
    return corners.map((corner) => {
      const pulled = addPoints(middle, scalePoint(subtractPoints(corner, middle), surd(rational(7, 10))));
      const { u, v } = reduce(pulled, lattice);
      return { at: [surdToNumber(u), surdToNumber(v), 0] as [number, number, number], kind: kindOf(face) };
    });
  });
  const [a, b] = lattice.map(({ x, y }) => [surdToNumber(x), surdToNumber(y)]) as [number[], number[]];
  return {
    lattice: { basis: [a[0]!, a[1]!, 0, b[0]!, b[1]!, 0, 0, 0, HEIGHT] },
    positions: atoms.map(({ at }) => at),
    numbers: atoms.map(({ kind }) => kind),
  };
}

function analysed(cell: MoyoCell) {
  return analyze_cell(JSON.stringify(cell), 1e-5, 'Standard');
}

/** The number of the space group that the library finds. */
function numberOf(cell: MoyoCell): number {
  return analysed(cell).number;
}

/** A kind of atom that no face has. */
const VERTEX = 99;

/** Into how many orbits the library sorts a tiling's vertices, each an atom among those of the faces. */
function vertexOrbits(tiling: Tiling): number {
  const crystal = crystalOf(tiling, (face) => tiling.faces[face]!.length);
  const vertices = foldTiling(tiling).vertices.map(({ x, y }): [number, number, number] => [
    surdToNumber(x),
    surdToNumber(y),
    0,
  ]);
  const { orbits } = analysed({
    ...crystal,
    positions: [...crystal.positions, ...vertices],
    numbers: [...crystal.numbers, ...vertices.map(() => VERTEX)],
  });
  return new Set(orbits.slice(crystal.positions.length)).size;
}

describe('plane groups against a crystal-symmetry library (moyo, WebAssembly)', () => {
  beforeAll(() => {
    const file = createRequire(import.meta.url).resolve('@spglib/moyo-wasm/moyo_wasm_bg.wasm');
    initSync({ module: readFileSync(file) });
  });

  const plain: readonly (readonly [string, Tiling])[] = [
    ...(Object.keys(ARCHIMEDEAN) as Archimedean[]).flatMap((name) => {
      const tiling = buildTiling(ARCHIMEDEAN[name]);
      return [[name, tiling] as const, [`dual of ${name}`, dualOf(tiling)] as const];
    }),
    ...Object.entries(TWO_KINDS).map(([name, form]) => [name, buildTiling(form)] as const),
  ];

  it.each(plain)('%s', (_, tiling) => {
    const found = planeSymmetry(tiling, () => '')!.group;
    expect(numberOf(crystalOf(tiling, (face) => tiling.faces[face]!.length))).toBe(SPACE_GROUPS[found]);
  });

  const odd: readonly (readonly [string, Tiling])[] = (
    [
      [1, 3],
      [1, 5],
      [2, 5],
      [3, 7],
    ] as const
  ).flatMap(([n, d]) => {
    const part = rational(n, d);
    const families: readonly (readonly [string, TilingForm])[] = [
      ['herringbone', herringbone(part)],
      ['rhombus', rhombus(rational(n), rational(d))],
      ['bricks', bricks(part, part)],
      ['two squares', twoSquares(part)],
      ['octagons', octagons(part)],
      ['triangles', triangles(rational(d, n), part)],
      ['hexagons', hexagons(rational(1), part)],
      ['parallelograms', parallelograms(part, part)],
      ['kites', kites(part, rational(1))],
      ['pentagons', pentagons(part)],
      ['hexagons and triangles', hexagonsAndTriangles(part)],
      ['rows', rows(n, d)],
      ['basket', basket(d)],
    ];
    return families
      .filter(([name]) => name !== 'pentagons' || 2 * n < d)
      .map(([name, form]) => [`${name} ${n}/${d}`, buildTiling(form)] as const);
  });

  it.each(odd)('%s', (_, tiling) => {
    const found = planeSymmetry(tiling, () => '')!.group;
    expect(numberOf(crystalOf(tiling, (face) => tiling.faces[face]!.length))).toBe(SPACE_GROUPS[found]);
  });

  it('stretched or leant herringbone keeps what it has: the index of its own shades is one', () => {
    const stretched = mapTiling(buildTiling(herringbone(rational(1, 3))), stretch(rational(2, 3)));
    const plainly = planeSymmetry(stretched, () => '')!;
    expect(numberOf(crystalOf(stretched, (face) => stretched.faces[face]!.length))).toBe(
      SPACE_GROUPS[plainly.group],
    );
    expect(keptOneOf(plainly, planeSymmetry(stretched, () => 'one shade')!)).toBe(1);
  });

  it('sorts the vertices of the eleven into one orbit, and those of the twenty into two', () => {
    for (const form of Object.values(ARCHIMEDEAN)) expect(vertexOrbits(buildTiling(form))).toBe(1);
    for (const form of Object.values(TWO_KINDS)) expect(vertexOrbits(buildTiling(form))).toBe(2);
    // Of two with the same kinds of vertices, either the plane group or the area of a cell differs.
    const looks = Object.entries(TWO_KINDS).map(([name, form]) => {
      const { group, cell } = planeSymmetry(buildTiling(form), () => '')!;
      return `${name.split(',')[0]} ${group} ${surdText(cell)}`;
    });
    expect(new Set(looks).size).toBe(20);
  });

  it.each(
    TILING_STARTS.filter(
      (start) => !['neighbours', 'rows', 'hand'].includes(start.design(0).construction.colours.by),
    ).map(({ key }) => key),
  )('%s in its shades', (key) => {
    const design = tilingFromStart(key);
    const tiling = tilingOf(design.construction);
    const { shadeOf } = colouringOf(tiling, design.construction);
    const { faces } = design.construction;
    const found = tilingFacts(design).colouredSymmetry!.group;
    expect(numberOf(crystalOf(tiling, (face) => 1 + (shadeOf(face, 0, 0) % faces.length)))).toBe(
      SPACE_GROUPS[found],
    );
  });
});
