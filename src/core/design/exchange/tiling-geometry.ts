import type { Point } from '../../exact/plane.ts';
import { multiplySurds, type Surd, surdToNumber, ZERO_SURD } from '../../exact/surd.ts';
import { surdText } from '../../exact/surd-text.ts';
import { type Corner, cornerAt, edgeName, type TorusFaces } from '../../faces/check-partition.ts';
import { formatTable } from '../../formats/table.ts';
import { partitionIn } from '../../repeat/contents.ts';
import { configurations } from '../../tiling/around-vertex.ts';
import type { TilingDesign } from '../design-schema.ts';
import { pixelOf } from '../lay/lay-schema.ts';
import { compileTiling } from '../tiling/compile-tiling.ts';

type Doubles = readonly [x: number, y: number];
type Texts = readonly [x: string, y: string];
type Exact = readonly [x: Surd, y: Surd];

/** The faces of one upright repeat in millimetres, as nearest doubles and exactly. */
export interface TilingGeometry {
  readonly unit: 'mm';
  readonly lattice: readonly [Doubles, Doubles];
  readonly exactLattice: readonly [Texts, Texts];
  readonly faces: readonly {
    readonly points: readonly Doubles[];
    readonly exact: readonly Texts[];
    /** Number of sides. */
    readonly kind: number;
    /** Key of its shade. */
    readonly shade: string;
  }[];
  /** Each edge once, by its two ends. */
  readonly edges: readonly (readonly [Doubles, Doubles])[];
  readonly exactEdges: readonly (readonly [Texts, Texts])[];
  readonly vertices: readonly Doubles[];
  readonly exactVertices: readonly Texts[];
  /** The kinds of vertices, each by the faces round it. */
  readonly configuration: readonly string[];
}

/** @throws CoreError as `compileTiling` */
export function tilingGeometry(design: TilingDesign): TilingGeometry {
  const { content, pitch } = compileTiling(design.construction, {
    shades: design.shades,
    pixel: pixelOf(design.resolution),
  });
  const base = partitionIn({ content });
  const placed = ({ x, y }: Point) => [multiplySurds(x, pitch.x), multiplySurds(y, pitch.y)] satisfies Exact;
  const [right, up] = [
    [pitch.x, ZERO_SURD],
    [ZERO_SURD, pitch.y],
  ] as const;
  const edges = new Map<string, readonly [Exact, Exact]>();
  const faces = base.faces.map(({ corners: anywhere, fill }) => {
    const corners = inFirstRepeat(base, anywhere);
    const points = corners.map((corner) => placed(cornerAt(base, corner)));
    corners.forEach((from, at) => {
      const next = (at + 1) % corners.length;
      const [name] = edgeName(from, corners[next]!);
      if (!edges.has(name)) edges.set(name, [points[at]!, points[next]!]);
    });
    return {
      points: points.map(doubles),
      exact: points.map(texts),
      kind: corners.length,
      shade: base.shades[fill.shade]!.key,
    };
  });
  const ends = [...edges.values()];
  const vertices = base.vertices.map(placed);
  return {
    unit: 'mm',
    lattice: [doubles(right), doubles(up)],
    exactLattice: [texts(right), texts(up)],
    faces,
    edges: ends.map(([from, to]) => [doubles(from), doubles(to)]),
    exactEdges: ends.map(([from, to]) => [texts(from), texts(to)]),
    vertices: vertices.map(doubles),
    exactVertices: vertices.map(texts),
    configuration: [...new Set(configurations(base))].sort(),
  };
}

/** A face moved by whole repeats so that its middle lies in the first one. */
function inFirstRepeat(base: TorusFaces, corners: readonly Corner[]): readonly Corner[] {
  const points = corners.map((corner) => cornerAt(base, corner));
  const middle = (along: 'x' | 'y') =>
    points.reduce((sum, point) => sum + surdToNumber(point[along]), 0) / points.length;
  // A middle on the border counts as inside, whatever its last bit.
  const right = Math.floor(middle('x') + 1e-9);
  const up = Math.floor(middle('y') + 1e-9);
  return corners.map((corner) => ({ ...corner, across: corner.across - right, up: corner.up - up }));
}

/** The corners of all faces as a table, a row each. */
export function tilingToCsv(design: TilingDesign): string {
  const rows = tilingGeometry(design).faces.flatMap(({ points, exact, kind, shade }, face) =>
    points.map(([x, y], corner) => [
      String(face + 1),
      String(kind),
      shade,
      String(corner + 1),
      String(x),
      String(y),
      ...exact[corner]!,
    ]),
  );
  const head = ['face', 'sides', 'shade', 'corner', 'x_mm', 'y_mm', 'x_exact', 'y_exact'];
  return formatTable([head, ...rows]);
}

function doubles([x, y]: Exact): Doubles {
  return [surdToNumber(x), surdToNumber(y)];
}

function texts([x, y]: Exact): Texts {
  return [surdText(x), surdText(y)];
}
