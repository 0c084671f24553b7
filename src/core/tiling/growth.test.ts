import { describe, expect, it } from 'vitest';
import { checkPartition } from '../faces/check-partition.ts';
import { foldTiling } from '../faces/torus.ts';
import { configurations } from './around-vertex.ts';
import { closeGrowth } from './close-growth.ts';
import { freeSides, type GrownFace, growPatch, openCorners } from './growth.ts';

/** A face on a side of another. */
function on(face: number, side: number, shape: GrownFace['shape']): GrownFace {
  return { on: { face, side }, shape };
}

const FIRST_HEXAGON: GrownFace = { on: null, shape: 6 };

/** 3.4.6.4 as one would grow it: a hexagon, squares on its sides, triangles between them, hexagons beyond two squares. */
const ROSETTE: readonly GrownFace[] = [
  FIRST_HEXAGON,
  ...[0, 1, 2, 3, 4, 5].map((side) => on(0, side, 4)),
  on(1, 1, 3),
  on(2, 1, 3),
  on(1, 2, 6),
  on(2, 2, 6),
];

describe('growing a patch', () => {
  it('tells the angle that is open at each corner', () => {
    const open = openCorners(growPatch([FIRST_HEXAGON, on(0, 0, 4)]));
    expect(open.map(({ open: angle }) => angle * 15).sort((a, b) => a - b)).toEqual([
      150, 150, 240, 240, 240, 240, 270, 270,
    ]);
  });

  it('closes corners, whose sides are then taken', () => {
    const patch = growPatch([FIRST_HEXAGON, on(0, 0, 6), on(0, 1, 6)]);
    // Three hexagons have 18 sides, two and two of which meet at three.
    expect(freeSides(patch)).toHaveLength(12);
    expect(openCorners(patch)).toHaveLength(12);
  });

  it.each<[string, string, readonly GrownFace[]]>([
    ['on a side that is not there', 'growth/side', [FIRST_HEXAGON, on(0, 7, 4)]],
    ['on a face that is not there', 'growth/side', [FIRST_HEXAGON, on(3, 0, 4)]],
    ['by itself, beside others', 'growth/side', [FIRST_HEXAGON, { on: null, shape: 4 }]],
    ['where a face lies', 'growth/taken', [FIRST_HEXAGON, on(0, 0, 4), on(0, 0, 3)]],
    ['over another', 'growth/overlap', [FIRST_HEXAGON, on(0, 0, 12), on(0, 1, 6)]],
    ['over another, barely', 'growth/overlap', [FIRST_HEXAGON, on(0, 0, 8), on(0, 1, 6)]],
  ])('refuses a face %s', (_, code, faces) => {
    expect(() => growPatch(faces)).toThrow(code);
  });
});

describe('closing a patch', () => {
  it('finds the cell of 3.4.6.4 grown by hand', () => {
    const closing = closeGrowth(growPatch(ROSETTE));
    if (closing.kind !== 'closed') throw new Error(`expected it closed, got ${closing.kind}`);
    const torus = foldTiling(closing.tiling);
    expect(checkPartition(torus)).toMatchObject({ closed: true, vertices: 6, edges: 12, faces: 6 });
    expect(new Set(configurations(torus))).toEqual(new Set(['3.4.6.4']));
  });

  it('takes the smallest cell that does', () => {
    const many = [{ on: null, shape: 4 } as const, on(0, 1, 4), on(1, 1, 4), on(0, 2, 4), on(3, 2, 4)];
    const closing = closeGrowth(growPatch(many));
    expect(closing.kind === 'closed' && closing.tiling.faces).toHaveLength(1);
  });

  it('closes rhombuses, which lie the other way round on every second side', () => {
    const faces = [
      { on: null, shape: { angle: 4 } } as const,
      on(0, 1, { angle: 8 }),
      on(0, 2, { angle: 4 }),
    ];
    const closing = closeGrowth(growPatch(faces));
    expect(closing.kind === 'closed' && closing.tiling.faces).toHaveLength(1);
  });

  it.each<[string, readonly GrownFace[]]>([
    ['no-shift', [FIRST_HEXAGON, on(0, 0, 4)]],
    ['one-way', [{ on: null, shape: 4 }, on(0, 1, 4)]],
    ['gaps', ROSETTE.filter((_, at) => at !== 8 && at !== 3)],
  ])('tells what is missing: %s', (kind, faces) => {
    const closing = closeGrowth(growPatch(renumbered(faces)));
    expect(closing.kind).toBe(kind);
    if (closing.kind === 'gaps') expect(closing.open).toBeGreaterThan(0);
  });
});

/** Faces left out of the rosette are none that others lie on, so numbers only move up. */
function renumbered(faces: readonly GrownFace[]): readonly GrownFace[] {
  if (faces.length < 5) return faces;
  const kept = ROSETTE.map((face) => faces.indexOf(face));
  return faces.map((face) =>
    face.on === null ? face : { ...face, on: { ...face.on, face: kept[face.on.face]! } },
  );
}
