import type { Shade } from '../../colour/shade.ts';
import { cellArea, latticePoint, pointsIn } from '../../exact/lattice.ts';
import { addPoints, type Point } from '../../exact/plane.ts';
import { equals, ONE, type Rational, toNumber } from '../../exact/rational.ts';
import {
  addSurds,
  equalSurds,
  multiplySurds,
  type Surd,
  subtractSurds,
  surd,
  surdToNumber,
  ZERO_SURD,
} from '../../exact/surd.ts';
import { checkPartition, cornerAt, faceArea, type PartitionProof } from '../../faces/check-partition.ts';
import { foldTiling } from '../../faces/torus.ts';
import { marksOver, partitionIn } from '../../repeat/contents.ts';
import type { RepeatUnit } from '../../repeat/repeat-unit.ts';
import { insetPolygon } from '../../shape/inset.ts';
import type { Mark } from '../../shape/shape.ts';
import { configurations } from '../../tiling/around-vertex.ts';
import type { PlaneSymmetry } from '../../tiling/plane-group.ts';
import { keptOneOf, MOST_FACES, planeSymmetry } from '../../tiling/symmetry.ts';
import type { Tiling } from '../../tiling/tiling-form.ts';
import { type FaceColours, MAX_FACES } from '../../tiling/upright-partition.ts';
import type { TilingDesign } from '../design-schema.ts';
import { pixelOf } from '../lay/lay-schema.ts';
import { compileLaid, compileTiling } from './compile-tiling.ts';
import { layTiling } from './lay-tiling.ts';
import { parsePart, parseProportion, parseSize } from './tiling-numbers.ts';
import type { TilingSpec } from './tiling-schema.ts';

/** What there is to know of a tiling. */
export interface TilingFacts {
  /** Of its smallest cell, without colours. */
  readonly proof: PartitionProof;
  /** Area of that cell, in squares of a side of 1. */
  readonly cell: Surd;
  /** The different kinds of vertices, each by the faces round it. */
  readonly configurations: readonly string[];
  /** What carries it onto itself without colours, and with them; undefined where a cell has too many faces to look at. */
  readonly symmetry: PlaneSymmetry | undefined;
  readonly colouredSymmetry: PlaneSymmetry | undefined;
  /** Kinds of faces that take a shade each. */
  readonly classes: number;
  /** Faces in one upright repeat, coloured. */
  readonly faces: number;
  /** Share of the cloth of each shade that there is some of, exact. */
  readonly shares: readonly { readonly shade: Shade; readonly share: Surd }[];
  /** Faces of which gaps leave nothing. */
  readonly vanished: number;
}

/**
 * @param most  faces of a repeat
 * @throws CoreError as `compileTiling`
 */
export function tilingFacts(
  { construction, shades, resolution }: TilingDesign,
  most: number = MAX_FACES,
): TilingFacts {
  const laid = layTiling(construction, shades, most);
  const { tiling, classes, colours } = laid;
  const torus = foldTiling(tiling);
  const { content, pitch } = compileLaid(construction, laid, { shades, pixel: pixelOf(resolution) });
  const base = partitionIn({ content });
  const areas = base.shades.map((): Surd => ZERO_SURD);
  for (const face of base.faces) {
    const { shade } = face.fill;
    areas[shade] = addSurds(areas[shade]!, faceArea(base, face));
  }
  return {
    proof: checkPartition(torus),
    cell: cellArea(tiling.lattice),
    configurations: [...new Set(configurations(torus))].sort(),
    symmetry: planeSymmetry(tiling, () => ''),
    colouredSymmetry: colouredSymmetry(tiling, colours),
    classes,
    faces: base.faces.length,
    shares: base.shades.flatMap((shade, at) =>
      areas[at]!.terms.length === 0 ? [] : [{ shade, share: areas[at]! }],
    ),
    vanished: vanished(marksOver(content), pitch),
  };
}

function vanished(marks: readonly Mark[], { x, y }: RepeatUnit['pitch']): number {
  const pitch = { x: surdToNumber(x), y: surdToNumber(y) };
  const faces = marks.flatMap(({ shape }) => (shape.kind === 'cut' ? shape.parts : []));
  return faces.filter(({ corners, by }) => insetPolygon(corners, pitch, toNumber(by)).length === 0).length;
}

/** The symmetry of the cells that colours take to come round, faces of one shade being alike. */
function colouredSymmetry(tiling: Tiling, { keeps, shadeOf }: FaceColours): PlaneSymmetry | undefined {
  const cells = pointsIn(tiling.lattice, keeps, Math.floor(MOST_FACES / tiling.faces.length));
  if (cells === undefined) return undefined;
  const faces = cells.flatMap(([i, j]) =>
    tiling.faces.map((corners, face) => ({
      corners: corners.map((corner) => addPoints(corner, latticePoint(tiling.lattice, [i, j]))),
      shade: String(shadeOf(face, i, j)),
    })),
  );
  return planeSymmetry(
    { lattice: keeps, faces: faces.map(({ corners }) => corners) },
    (face) => faces[face]!.shade,
  );
}

/** A tiling's faces alone. */
const NOTHING_OVER = {
  rings: [],
  fade: null,
  gaps: null,
  lines: [],
  letters: null,
  picture: null,
} as const satisfies Partial<TilingSpec>;

/** Whether nothing that changes lengths is done to a form. */
function keepsLengths({ stretch, shear }: TilingSpec): boolean {
  return equals(parseProportion(stretch), ONE) && parsePart(shear).n === 0n;
}

/**
 * How much of a laid out tiling does not follow from what it is called, counted without looking at how it was laid out:
 * vertices whose faces are not those of its name, and sides that are not as long as they were typed.
 */
export function missesOfTiling(spec: TilingSpec, unit: RepeatUnit, pixel: Rational): number {
  const { form, dual, size, measured } = spec;
  if ((form.kind !== 'regular' && form.kind !== 'two-kinds') || dual) return 0;
  const { pitch } = unit;
  const whole = partitionIn(unit);
  if (whole === undefined) throw new Error('expected faces, got cells');
  // Rings have vertices of their own: without them, in the same size, the tiling is looked at itself.
  const content =
    spec.rings.length === 0
      ? whole
      : partitionIn(compileTiling({ ...spec, ...NOTHING_OVER }, { shades: whole.shades, pixel }));
  const strange = configurations(content).filter((name) => !form.name.split(/, | \+ /).includes(name)).length;
  if ((measured !== 'side' && measured !== 'one') || !keepsLengths(spec)) return strange;
  const side = surd(parseSize(size, pixel));
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

/**
 * Plane groups of a tiling without its shades and with them, and of how many symmetries these keep one; null where a
 * cell has too many faces to look at.
 */
export function symmetryReport(design: TilingDesign) {
  const { symmetry: plain, colouredSymmetry: coloured } = tilingFacts(design);
  return {
    plain: plain?.group ?? null,
    coloured: coloured?.group ?? null,
    index: plain && coloured ? keptOneOf(plain, coloured) : null,
  };
}
