import type { Shade } from '../../colour/shade.ts';
import { cellArea, latticePoint, pointsIn } from '../../exact/lattice.ts';
import { addPoints, type Point } from '../../exact/plane.ts';
import {
  addSurds,
  equalSurds,
  multiplySurds,
  type Surd,
  subtractSurds,
  surd,
  ZERO_SURD,
} from '../../exact/surd.ts';
import type { RepeatUnit } from '../../repeat/repeat-unit.ts';
import { configurations } from '../../tiling/around-vertex.ts';
import { checkPartition, cornerAt, faceArea, type PartitionProof } from '../../tiling/check-partition.ts';
import type { Colouring } from '../../tiling/colourings.ts';
import { MOST_FACES, type PlaneGroup, planeGroup } from '../../tiling/symmetry.ts';
import type { Tiling } from '../../tiling/tiling-form.ts';
import { foldTiling } from '../../tiling/torus.ts';
import type { TilingDesign } from '../design-schema.ts';
import { colouringOf, compileTiling, tilingOf } from './compile-tiling.ts';
import { parseSize, type TilingSpec } from './tiling-schema.ts';

/** What there is to know of a tiling. */
export interface TilingFacts {
  /** Of its smallest cell, without colours. */
  readonly proof: PartitionProof;
  /** Area of that cell, in squares of a side of 1. */
  readonly cell: Surd;
  /** The different kinds of vertices, each by the faces round it. */
  readonly configurations: readonly string[];
  /** Its plane group without colours, and with them; undefined where a cell has too many faces to look at. */
  readonly group: PlaneGroup | undefined;
  readonly colouredGroup: PlaneGroup | undefined;
  /** Kinds of faces that take a shade each. */
  readonly classes: number;
  /** Faces in one upright repeat, coloured. */
  readonly faces: number;
  /** Share of the cloth of each shade that there is some of, exact. */
  readonly shares: readonly { readonly shade: Shade; readonly share: Surd }[];
}

/** @throws CoreError as `compileTiling` */
export function tilingFacts({ construction, shades }: TilingDesign): TilingFacts {
  const tiling = tilingOf(construction);
  const torus = foldTiling(tiling);
  const colouring = colouringOf(tiling, construction);
  const { content } = compileTiling(construction, shades);
  const areas = shades.map((): Surd => ZERO_SURD);
  for (const face of content.faces) areas[face.shade] = addSurds(areas[face.shade]!, faceArea(content, face));
  return {
    proof: checkPartition(torus),
    cell: cellArea(tiling.lattice),
    configurations: [...new Set(configurations(torus))].sort(),
    group: planeGroup(tiling, () => ''),
    colouredGroup: colouredGroup(construction, tiling, colouring),
    classes: colouring.classes,
    faces: content.faces.length,
    shares: shades.flatMap((shade, at) =>
      areas[at]!.terms.length === 0 ? [] : [{ shade, share: areas[at]! }],
    ),
  };
}

/** The plane group of the cells that colours take to come round, faces of one shade being alike. */
function colouredGroup(
  spec: TilingSpec,
  tiling: Tiling,
  { keeps, shadeOf }: Colouring,
): PlaneGroup | undefined {
  const cells = pointsIn(tiling.lattice, keeps, Math.floor(MOST_FACES / tiling.faces.length));
  if (cells === undefined) return undefined;
  const faces = cells.flatMap(([i, j]) =>
    tiling.faces.map((corners, face) => ({
      corners: corners.map((corner) => addPoints(corner, latticePoint(tiling.lattice, [i, j]))),
      shade: spec.faces[shadeOf(face, i, j) % spec.faces.length]!,
    })),
  );
  return planeGroup(
    { lattice: keeps, faces: faces.map(({ corners }) => corners) },
    (face) => faces[face]!.shade,
  );
}

/**
 * How much of a laid out tiling does not follow from what it is called, counted without looking at how it was laid out:
 * vertices whose faces are not those of its name, and sides that are not as long as they were typed.
 */
export function missesOfTiling(spec: TilingSpec, unit: RepeatUnit): number {
  const { form, dual, size, measured, rings } = spec;
  if ((form.kind !== 'regular' && form.kind !== 'two-kinds') || dual) return 0;
  // Rings have vertices of their own: without them, in the same size, the tiling is looked at itself.
  const plain = rings.length === 0 ? unit : compileTiling({ ...spec, rings: [] }, unit.content.shades);
  const { content } = plain;
  const { pitch } = unit;
  if (content.kind !== 'partition') throw new Error(`expected a partition, got ${content.kind}`);
  const strange = configurations(content).filter((name) => !form.name.split(/, | \+ /).includes(name)).length;
  if (measured !== 'side') return strange;
  const side = surd(parseSize(size));
  const square = multiplySurds(side, side);
  const wrong = content.faces.flatMap(({ corners }) =>
    corners.filter((from, at) => {
      const [a, b] = [from, corners[(at + 1) % corners.length]!].map((corner) =>
        cornerAt(content, corner),
      ) as [Point, Point];
      const [x, y] = [
        multiplySurds(subtractSurds(b.x, a.x), pitch.x),
        multiplySurds(subtractSurds(b.y, a.y), pitch.y),
      ];
      return !equalSurds(addSurds(multiplySurds(x, x), multiplySurds(y, y)), square);
    }),
  ).length;
  return strange + wrong;
}
