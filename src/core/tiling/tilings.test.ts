import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cellArea } from '../exact/lattice.ts';
import { divide, rational } from '../exact/rational.ts';
import { divideSurds, surd, surdToNumber } from '../exact/surd.ts';
import { surdText } from '../exact/surd-text.ts';
import { checkPartition, edgeName, faceArea } from '../faces/check-partition.ts';
import type { FaceRing } from '../faces/rings.ts';
import { foldTiling } from '../faces/torus.ts';
import { configurations } from './around-vertex.ts';
import { byDirection, byFace, byNeighbours, bySides } from './colourings.ts';
import { dualOf } from './dual.ts';
import { ARCHIMEDEAN } from './forms/archimedean.ts';
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
  rhombusByAngle,
  rows,
  triangles,
  twoSquares,
} from './forms/families.ts';
import { buildTiling, type Tiling, type TilingForm, turnTiling } from './tiling-form.ts';
import { layUpright, partitionOf, partsOf } from './upright-partition.ts';

const SHADES = ['#203040', '#a0b0c0', '#e0d0b0', '#704030', '#305030', '#806090'].map((hex, at) => ({
  key: `S${at}`,
  name: hex,
  hex,
}));

function isClosed(tiling: Tiling): boolean {
  return checkPartition(foldTiling(tiling)).closed;
}

describe('the eleven tilings by regular polygons', () => {
  it.each(Object.entries(ARCHIMEDEAN))(
    '%s is closed, turned too, and its vertices are as named',
    (name, form) => {
      const tiling = buildTiling(form);
      expect(new Set(configurations(foldTiling(tiling)))).toEqual(new Set([name]));
      expect(isClosed(tiling)).toBe(true);
      expect(isClosed(turnTiling(tiling, 5))).toBe(true);
    },
  );

  it.each(Object.entries(ARCHIMEDEAN))(
    'the dual of %s is closed: faces and vertices trade places',
    (_, form) => {
      const tiling = buildTiling(form);
      const [own, dual] = [checkPartition(foldTiling(tiling)), checkPartition(foldTiling(dualOf(tiling)))];
      expect(dual).toMatchObject({
        closed: true,
        vertices: own.faces,
        edges: own.edges,
        faces: own.vertices,
      });
    },
  );

  it.each(Object.entries(ARCHIMEDEAN))(
    '%s lies in an upright repeat, whichever way it is coloured',
    (_, form) => {
      const tiling = buildTiling(form);
      const ways = [bySides(tiling), byDirection(tiling), byNeighbours(tiling, foldTiling(tiling))!];
      for (const colours of ways) {
        const partition = partitionOf(layUpright(tiling, colours), SHADES);
        expect(checkPartition(partition).closed).toBe(true);
        expect(new Set(partition.faces.map(({ fill }) => fill.shade)).size).toBe(colours.classes);
      }
    },
  );
});

describe('a proof of a tiling', () => {
  const hexagon = ARCHIMEDEAN['6.6.6'];

  it.each<[string, TilingForm]>([
    ['a face that is left out', { ...ARCHIMEDEAN['4.8.8'], faces: ARCHIMEDEAN['4.8.8'].faces.slice(0, 1) }],
    ['a face that lies there twice', { ...hexagon, faces: [...hexagon.faces, ...hexagon.faces] }],
    ['a lattice that is too wide', { ...hexagon, lattice: ['0 4 0', '4 8'] }],
    ['a face walked clockwise', { ...ARCHIMEDEAN['4.4.4.4'], faces: [{ at: '', outline: '6 0 18 12' }] }],
    [
      'a face in the wrong place',
      {
        ...ARCHIMEDEAN['3.6.3.6'],
        faces: [
          ARCHIMEDEAN['3.6.3.6'].faces[0],
          ARCHIMEDEAN['3.6.3.6'].faces[1],
          { at: '0', first: 8, sides: 3 },
        ],
      },
    ],
  ])('fails for %s', (_, form) => {
    expect(isClosed(buildTiling(form))).toBe(false);
  });
});

describe('families of tilings', () => {
  const part = fc
    .tuple(fc.integer({ min: 1, max: 30 }), fc.integer({ min: 1, max: 30 }))
    .map(([n, d]) => rational(n, d));
  const share = fc
    .tuple(fc.integer({ min: 1, max: 20 }), fc.integer({ min: 0, max: 20 }))
    .map(([d, n]) => rational(Math.min(n, d - 1), d));

  it('are closed for all numbers that they take', () => {
    fc.assert(
      fc.property(part, part, share, fc.integer({ min: 1, max: 5 }), (a, b, s, count) => {
        const forms = [
          rhombus(a, b),
          bricks(a, s),
          basket(count),
          octagons(a),
          triangles(a, s),
          hexagons(a, b),
          rows(count, 2),
        ];
        const others = [
          rhombusByAngle(count),
          parallelograms(a, s),
          kites(a, b),
          hexagonsAndTriangles(b),
          pentagons(divide(a, rational(61))),
          herringbone(divide(b, rational(31))),
        ];
        for (const form of [...forms, ...others]) expect(isClosed(buildTiling(form))).toBe(true);
        if (s.n > 0n) expect(isClosed(buildTiling(twoSquares(s)))).toBe(true);
      }),
      { numRuns: 40 },
    );
    expect(isClosed(buildTiling(twoSquares(rational(1))))).toBe(true);
  });

  it.each([
    [rows(2, 1), ['3.3.3.4.4', '4.4.4.4']],
    [rows(3, 1), ['3.3.3.4.4', '4.4.4.4']],
    [rows(1, 2), ['3.3.3.3.3.3', '3.3.3.4.4']],
    [rows(1, 3), ['3.3.3.3.3.3', '3.3.3.4.4']],
  ])('rows of squares and triangles have two kinds of vertices', (form, kinds) => {
    expect([...new Set(configurations(foldTiling(buildTiling(form))))].sort()).toEqual(kinds);
  });

  it('lie upright where some upright rectangle repeats', () => {
    const tiling = buildTiling(bricks(rational(1, 2), rational(1, 3)));
    expect(layUpright(tiling, byFace(tiling)).faces).toHaveLength(3);
    const slanted = buildTiling(triangles(rational(1), rational(1, 7)));
    expect(layUpright(slanted, byFace(slanted)).faces).toHaveLength(14);
  });
});

describe('colours by neighbours', () => {
  it.each([
    ['6.6.6', 3, 3],
    ['4.4.4.4', 2, 2],
    ['3.3.3.3.3.3', 2, 1],
    ['3.6.3.6', 2, 1],
    ['4.8.8', 3, 2],
  ] as const)('%s takes %i shades, on %i times its cell', (name, shades, cells) => {
    const tiling = buildTiling(ARCHIMEDEAN[name]);
    const colours = byNeighbours(tiling, foldTiling(tiling))!;
    expect(colours.classes).toBe(shades);
    const partition = partitionOf(layUpright(tiling, colours), SHADES);
    const sides = new Map<string, number>();
    for (const {
      corners,
      fill: { shade },
    } of partition.faces) {
      corners.forEach((from, at) => {
        const [edge] = edgeName(from, corners[(at + 1) % corners.length]!);
        expect(sides.get(edge)).not.toBe(shade);
        sides.set(edge, shade);
      });
    }
    const kept = divideSurds(cellArea(colours.keeps), cellArea(tiling.lattice));
    expect(surdText(kept)).toBe(String(cells));
  });
});

describe('colours by neighbours in large cells', () => {
  it.each<[string, TilingForm, number]>([
    ['basket of 12', basket(12), 3],
    ['rows of 12 and 12', rows(12, 12), 3],
    ['rows of 11 and 12', rows(11, 12), 3],
  ])('%s are found without trying for ever', (_, form, most) => {
    const tiling = buildTiling(form);
    const colours = byNeighbours(tiling, foldTiling(tiling))!;
    expect(colours.classes).toBeLessThanOrEqual(most);
  });
});

describe('rings in faces', () => {
  const rings = [
    { start: { share: rational(1) }, shade: 3 },
    { start: { share: rational(3, 4) }, shade: undefined },
    { start: { share: rational(1, 3) }, shade: 4 },
  ];

  it('cover every face once, whatever tiling it is', () => {
    for (const form of [
      ARCHIMEDEAN['4.6.12'],
      bricks(rational(1, 2), rational(1, 3)),
      rhombus(rational(3), rational(4)),
    ]) {
      const tiling = buildTiling(form);
      const partition = partitionOf(layUpright(tiling, bySides(tiling)), SHADES, { rings });
      expect(checkPartition(partition).closed).toBe(true);
    }
  });

  it('have the shares of the face that their sizes say', () => {
    const tiling = buildTiling(ARCHIMEDEAN['4.4.4.4']);
    const partition = partitionOf(layUpright(tiling, byFace(tiling)), SHADES, { rings });
    const area = (shade: number) =>
      partition.faces
        .filter((face) => face.fill.shade === shade)
        .map((face) => surdText(faceArea(partition, face)));
    // The frame is 1 − 9/16 in four parts, the face's own 9/16 − 1/9 in four, what is inside 1/9.
    expect(area(3)).toEqual(Array(4).fill('7/64'));
    expect(area(0)).toEqual(Array(4).fill('65/576'));
    expect(area(4)).toEqual(['1/9']);
  });

  it('are measured from what gaps leave, by shares and by lengths', () => {
    const tiling = buildTiling(ARCHIMEDEAN['4.4.4.4']);
    const inside = [
      { start: { inside: surd(rational(1, 10)) }, shade: 3 },
      { start: { inside: surd(rational(1, 5)) }, shade: 4 },
    ];
    const gap = surd(rational(1, 10));
    const areas = (of: readonly FaceRing[]) => {
      const partition = partitionOf(layUpright(tiling, byFace(tiling)), SHADES, { rings: of, gap });
      expect(checkPartition(partition).closed).toBe(true);
      return [0, 3, 4].map((shade) =>
        partition.faces
          .filter((face) => face.fill.shade === shade)
          .reduce((sum, face) => sum + surdToNumber(faceArea(partition, face)), 0),
      );
    };
    // A square of 1 is seen 0.8 wide; inside 0.1 of that 0.6, inside 0.2 of it 0.4.
    expect(areas(inside)[1]).toBeCloseTo(0.36 - 0.16, 12);
    expect(areas(inside)[2]).toBeCloseTo(0.16, 12);
    expect(areas([{ start: { share: rational(1, 2) }, shade: 4 }])[2]).toBeCloseTo(0.16, 12);
    // Too small for a ring to begin, a face has none; one that does not lie inside the other is told.
    expect(areas([{ start: { inside: surd(1) }, shade: 4 }])[2]).toBe(0);
    const across = [{ start: { share: rational(1, 4) }, shade: 3 }, inside[0]!];
    expect(() => areas(across)).toThrow('tiling/ring-outside');
  });

  it('by lengths cover faces of any shape once, and what is narrower wholly', () => {
    for (const form of [
      ARCHIMEDEAN['3.12.12'],
      bricks(rational(1, 2), rational(1, 3)),
      rhombus(rational(3), rational(4)),
    ]) {
      const tiling = buildTiling(form);
      const wish = {
        rings: [{ start: { inside: surd(rational(1, 10)) }, shade: 4 }],
        gap: surd(rational(1, 10)),
      };
      const partition = partitionOf(layUpright(tiling, bySides(tiling)), SHADES, wish);
      expect(checkPartition(partition).closed).toBe(true);
      expect(partition.faces.some(({ fill }) => fill.shade === 4)).toBe(true);
    }
  });

  it('count as faces, of which there are not too many', () => {
    const slanted = buildTiling(triangles(rational(1), rational(1, 997)));
    expect(() => layUpright(slanted, byFace(slanted), (sides) => partsOf(sides, 20))).toThrow('tiling/faces');
  });
});
